<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A letter of the person's own to somebody. */
final class LetterRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['to' => ['required', 'email', 'max:200'], 'subject' => ['required', 'string', 'max:250', 'regex:/^[^\r\n]+$/D'], 'body' => ['required', 'string', 'max:20000']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['to.*' => __('whatif.to_whom'), 'subject.*' => __('whatif.say_subject'), 'body.*' => __('whatif.say_body')];
    }
}
