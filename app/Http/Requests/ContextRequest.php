<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** The name of a context, with or without its sign. */
final class ContextRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['context' => ['required', 'string', 'max:100']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['context.*' => __('settings.context_name')];
    }

    public function name(): string
    {
        return ltrim($this->string('context')->toString(), '@');
    }
}
