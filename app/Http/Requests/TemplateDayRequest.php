<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nekto\Core\Time\LocalDay;

/** The day from which a template's dates count. */
final class TemplateDayRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['day' => ['nullable', 'date_format:Y-m-d', 'before:2200-01-01']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['day.*' => __('task.unknown_date')];
    }

    /** Null: today. */
    public function day(): ?LocalDay
    {
        return $this->filled('day') ? LocalDay::fromString($this->string('day')->toString()) : null;
    }
}
