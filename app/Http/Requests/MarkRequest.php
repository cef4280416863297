<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Where a measure stands, said by hand. */
final class MarkRequest extends FormRequest
{
    /** A comma is a point here. */
    protected function prepareForValidation(): void
    {
        is_string($this->input('value')) && $this->merge(['value' => str_replace([',', ' '], ['.', ''], trim($this->input('value')))]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['value' => ['required', 'numeric', 'between:0,10000000']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['value.*' => __('goals.value')];
    }
}
