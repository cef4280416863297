<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A group of calendars and areas. */
final class GroupRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $user = $this->user();
        $own = $user instanceof User ? $user->id : 0;
        $group = $this->route('group');

        return [
            'name' => [$group === null ? 'required' : 'sometimes', 'required', 'string', 'max:80', Rule::unique('calendar_groups', 'name')->where('user_id', $own)->ignore($group)],
            'shown' => ['sometimes', 'boolean'],
            'areas' => ['sometimes', 'array'],
            'calendars' => ['sometimes', 'array'],
            'calendars.*' => ['nullable', 'integer', Rule::exists('calendars', 'id')->where('user_id', $own)],
            'areas.*' => ['nullable', 'integer', Rule::exists('areas', 'id')->where('user_id', $own)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => __('calendars.group_name'), 'name.unique' => __('calendars.group_name')];
    }

    /** @return list<int>|null ids of the areas that are in it; null: as before */
    public function areas(): ?array
    {
        return $this->has('areas') ? array_values(array_map(intval(...), array_filter($this->array('areas')))) : null;
    }

    /** @return list<int>|null ids of the calendars that are in it; null: as before */
    public function calendars(): ?array
    {
        return $this->has('calendars') ? array_values(array_map(intval(...), array_filter($this->array('calendars')))) : null;
    }
}
