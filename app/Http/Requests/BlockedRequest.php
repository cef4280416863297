<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What is in the way of a block: who or what must answer, and when to ask again. */
final class BlockedRequest extends FormRequest
{
    use ComesWithMark;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return $this->markRules() + [
            'by' => ['required', 'string', 'max:200'],
            'ask_on' => ['nullable', 'date_format:Y-m-d', 'before:2200-01-01'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['by.required' => __('task.for_whom'), 'ask_on.*' => __('task.unknown_date')];
    }

    public function by(): string
    {
        return $this->string('by')->trim()->toString();
    }

    /** Y-m-d */
    public function askOn(): ?string
    {
        return $this->filled('ask_on') ? $this->string('ask_on')->toString() : null;
    }
}
