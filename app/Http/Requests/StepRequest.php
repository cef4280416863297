<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Nekto\Core\Time\LocalDay;

/** A step of a goal: by a line, or a task that is there already; with the first day of its week. */
final class StepRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'lines' => ['required_without:task', 'nullable', 'string', 'max:2000'],
            'refused' => ['sometimes', 'nullable', 'string', 'max:5000'],
            'task' => ['sometimes', 'integer', Rule::exists('tasks', 'id')->where('user_id', $this->user()?->getAuthIdentifier())->withoutTrashed()],
            'week' => ['sometimes', 'nullable', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['lines.*' => __('goals.step_empty'), 'week.*' => __('task.unknown_date')];
    }

    public function line(): string
    {
        return trim((string) preg_replace('/\s*\R\s*/u', ' ', $this->string('lines')->toString()));
    }

    /** @return list<string> */
    public function refused(): array
    {
        return array_values(array_filter(preg_split('/\R/u', $this->string('refused')->toString()) ?: [], static fn (string $one): bool => $one !== ''));
    }

    public function week(): ?LocalDay
    {
        return $this->filled('week') ? LocalDay::fromString($this->string('week')->toString()) : null;
    }
}
