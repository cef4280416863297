<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Nekto\Core\Time\LocalDay;

/** A step of a goal: by a line, or a task that is there already; with the first day of its week. */
final class StepRequest extends FormRequest
{
    use TypedLines;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'lines' => ['required_without:task', 'nullable', 'string', 'max:2000'],
            'task' => ['sometimes', 'integer', Rule::exists('tasks', 'id')->where('user_id', $this->user()?->getAuthIdentifier())->withoutTrashed()],
            'week' => ['sometimes', 'nullable', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01'],
        ] + $this->typedRules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['lines.*' => __('goals.step_empty'), 'week.*' => __('task.unknown_date')];
    }

    public function week(): ?LocalDay
    {
        return $this->filled('week') ? LocalDay::fromString($this->string('week')->toString()) : null;
    }
}
