<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;
use Nekto\Core\Hours\HoursReader;
use Nekto\Core\Hours\InvalidHours;
use Nekto\Core\Hours\WeeklyHours;

/** A week's hours, a line for each weekday. */
final class WeekHoursRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'week' => ['required', 'array:'.implode(',', WeeklyHours::WEEKDAYS)],
            'week.*' => ['nullable', 'string', 'max:200', static function (string $name, mixed $value, \Closure $fail): void {
                try {
                    HoursReader::read((string) $value);
                } catch (InvalidHours $error) {
                    $fail($error->getMessage());
                }
            }],
        ];
    }

    /** @return list<\Closure(Validator): void> two nights may meet where each line by itself is right */
    public function after(): array
    {
        return [function (Validator $validator): void {
            try {
                $validator->errors()->isEmpty() && $this->week();
            } catch (InvalidHours $error) {
                $validator->errors()->add('week', $error->getMessage());
            }
        }];
    }

    /** @return array<string, list<array{string, string}>> closed days left out */
    public function week(): array
    {
        return HoursReader::week(array_map(strval(...), $this->array('week')));
    }
}
