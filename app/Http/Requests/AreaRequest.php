<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Area;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** An area's name, colour and hours, or its place among the others. */
final class AreaRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $area = $this->route('area');
        $own = $this->user()?->getAuthIdentifier();

        return [
            'name' => [$area === null ? 'required' : 'sometimes', 'string', 'max:100', Rule::unique('areas')->where('user_id', $own)->ignore($area instanceof Area ? $area->id : null)],
            'hue' => ['sometimes', Rule::in(Area::HUES)],
            'hours_set_id' => ['sometimes', Rule::exists('hours_sets', 'id')->where('user_id', $own)],
            'private' => ['sometimes', 'boolean'],
            'move' => ['sometimes', 'in:up'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.*' => __('settings.area_name')];
    }

    /** @return array<string, mixed> columns of areas */
    public function columns(): array
    {
        return $this->safe(['name', 'hue', 'hours_set_id', 'private']);
    }
}
