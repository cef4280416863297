<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A section of a project: its name, whether its tasks come one after another, its milestone. */
final class SectionRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['name' => [$this->isMethod('POST') ? 'required' : 'sometimes', 'required', 'string', 'max:200'], 'sequential' => ['sometimes', 'boolean'], 'due_date' => ['sometimes', 'nullable', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['due_date.*' => __('task.unknown_date')];
    }

    /** @return array{name: string, sequential?: bool, due_on?: string|null} columns of sections */
    public function columns(): array
    {
        /** @var array{name: string, sequential?: bool, due_on?: string|null} */
        return $this->safe(['name', 'sequential']) + ($this->has('due_date') ? ['due_on' => $this->input('due_date')] : []);
    }
}
