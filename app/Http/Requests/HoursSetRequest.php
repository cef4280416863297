<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Edits\HoursEdit;
use App\Models\HoursSet;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** The name of a set of hours, a new one or one that there is; which set it begins like. */
final class HoursSetRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $set = $this->route('set');
        $own = $this->user()?->getAuthIdentifier();

        return [
            'name' => ['required', 'string', 'max:60', Rule::unique('hours_sets')->where('user_id', $own)->ignore($set instanceof HoursSet ? $set->id : null), function (string $name, mixed $value, \Closure $fail) use ($set): void {
                $set === null && $this->user()->hoursSets()->count() >= HoursEdit::MOST_SETS && $fail(__('settings.too_many_sets', ['count' => HoursEdit::MOST_SETS]));
            }],
            'like' => ['nullable', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => __('settings.set_name'), 'name.max' => __('settings.set_name'), 'name.unique' => __('settings.set_name'), 'name.string' => __('settings.set_name')];
    }

    public function name(): string
    {
        return trim($this->string('name')->toString());
    }

    public function like(): ?HoursSet
    {
        return $this->user()->hoursSets()->find($this->integer('like'));
    }
}
