<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A week's hours, a line for each weekday. */
final class WeekHoursRequest extends FormRequest
{
    use ReadsStretches;

    private const DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = ['week' => ['required', 'array:'.implode(',', self::DAYS)]];
        foreach (self::DAYS as $day) {
            $rules["week.{$day}"] = ['nullable', 'string', 'max:200', $this->stretchesRule()];
        }

        return $rules;
    }

    /** @return array<string, list<array{string, string}>> closed days left out */
    public function week(): array
    {
        $week = [];
        foreach (self::DAYS as $day) {
            $stretches = $this->readStretches((string) $this->input("week.{$day}"));
            if ($stretches !== []) {
                $week[$day] = $stretches;
            }
        }

        return $week;
    }
}
