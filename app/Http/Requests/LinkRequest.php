<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** An address that belongs to a task. */
final class LinkRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['address' => ['required', 'string', 'max:2000', 'regex:/^(?:https?:\/\/|mailto:)\S+$/i'], 'title' => ['nullable', 'string', 'max:300']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['address.*' => __('task.no_link')];
    }
}
