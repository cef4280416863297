<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Where a measure stands, said by hand. */
final class MarkRequest extends FormRequest
{
    use TypedNumber;

    protected function prepareForValidation(): void
    {
        $this->readNumber('value');
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
