<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nekto\Core\Time\LocalDay;

/** A task typed at a time of a day: its line, and where the line says none, from when and how long. */
final class DayTaskRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:500'],
            'day' => ['required', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01'],
            'start' => ['nullable', 'date_format:H:i,G:i'],
            'minutes' => ['nullable', 'integer', 'between:5,720'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['title.required' => __('task.title_required'), 'start.date_format' => __('task.unknown_time'), 'minutes.*' => __('shape.block_length')];
    }

    public function line(): string
    {
        return $this->string('title')->trim()->toString();
    }

    public function day(): LocalDay
    {
        return LocalDay::fromString($this->string('day')->toString());
    }

    /** Minute of the day; null where the field says none. */
    public function minute(): ?int
    {
        [$hour, $minute] = [...array_map(intval(...), explode(':', $this->string('start')->toString())), 0];

        return $this->filled('start') ? 60 * $hour + $minute : null;
    }

    public function minutes(): ?int
    {
        return $this->filled('minutes') ? $this->integer('minutes') : null;
    }
}
