<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A date with other hours, or none. */
final class DayHoursRequest extends FormRequest
{
    use ReadsStretches;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'date' => ['required', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01'],
            'stretches' => ['nullable', 'string', 'max:200', $this->stretchesRule()],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['date.required' => __('task.unknown_date'), 'date.date_format' => __('task.unknown_date')];
    }

    /** @return list<array{string, string}> */
    public function stretches(): array
    {
        return $this->readStretches($this->string('stretches')->toString());
    }
}
