<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Catch\CaughtLine;
use App\Edits\RoutineEdit;
use App\Models\Routine;
use App\Time\Clock;
use App\Time\Moments;
use App\Wording\TypedDay;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Nekto\Core\Capture\RoutineLine;
use Nekto\Core\Hours\HoursReader;
use Nekto\Core\Hours\WeeklyHours;

/** Time that is reserved every week: as a line, or as a form has it. */
final class RoutineRequest extends FormRequest
{
    private const LONGEST = 720;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return $this->isNew() ? ['line' => ['required', 'string', 'max:300', function (string $name, mixed $value, \Closure $fail): void {
            match (true) {
                $this->line() === null => $fail(__('settings.routine.unclear')),
                $this->user()->routines()->count() >= RoutineEdit::MOST => $fail(__('settings.routine.too_many', ['count' => RoutineEdit::MOST])),
                $this->line()->minutes < 5, $this->line()->minutes > self::LONGEST, $this->line()->minute + $this->line()->minutes > 1440 => $fail(__('settings.routine.minutes', ['most' => self::LONGEST])),
                default => null,
            };
        }]] : [
            'title' => ['required', 'string', 'max:120'],
            'start' => ['required', 'date_format:H:i'],
            'minutes' => ['required', 'integer', 'between:5,'.self::LONGEST],
            'days' => ['required', 'array'],
            'days.*' => [Rule::in(WeeklyHours::WEEKDAYS)],
            'until' => ['nullable', 'date_format:Y-m-d', 'before:2200-01-01'],
            'deep' => ['sometimes', 'boolean'],
            'parts' => ['nullable', 'string', 'max:3000'],
        ];
    }

    /** "until" is a time of the day elsewhere: here it is a day, as it is typed. */
    protected function prepareForValidation(): void
    {
        $day = $this->filled('until') ? TypedDay::read($this->user(), $this->string('until')->toString()) : null;
        $day === null || $this->merge(['until' => $day]);
    }

    /** @return list<\Closure(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($this->isNew() || $validator->errors()->isNotEmpty()) {
                return;
            }
            $parts = $this->parts();
            $sum = array_sum(array_column($parts, 'minutes'));
            match (true) {
                count($parts) > RoutineEdit::MOST_PARTS => $validator->errors()->add('parts', __('settings.routine.many_parts', ['count' => RoutineEdit::MOST_PARTS])),
                $sum > $this->integer('minutes') => $validator->errors()->add('parts', __('settings.routine.exceeds', ['sum' => $sum, 'minutes' => $this->integer('minutes')])),
                $this->minute() + $this->integer('minutes') > 1440 => $validator->errors()->add('minutes', __('settings.routine.midnight')),
                default => null,
            };
        }];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'line.required' => __('settings.routine.unclear'), 'title.*' => __('settings.routine.title'), 'start.*' => __('task.unknown_time'), 'minutes.*' => __('settings.routine.minutes', ['most' => self::LONGEST]),
            'days.*' => __('settings.routine.days'), 'until.*' => __('task.unknown_date'), 'parts.max' => __('settings.routine.many_parts', ['count' => RoutineEdit::MOST_PARTS]),
        ];
    }

    /** @return array<string, mixed> columns of routines */
    public function columns(): array
    {
        $line = $this->isNew() ? $this->line() : null;
        if ($line !== null) {
            return ['title' => mb_substr($line->title, 0, 120), 'at' => $line->minute, 'minutes' => $line->minutes, 'days' => implode(',', $line->days), 'deep' => $line->deep, 'until' => $line->until?->asString(), 'from' => Moments::today($this->user(), Clock::now())->asString(), 'parts' => []];
        }

        return [
            'title' => trim($this->string('title')->toString()), 'at' => $this->minute(), 'minutes' => $this->integer('minutes'), 'days' => implode(',', array_intersect(WeeklyHours::WEEKDAYS, $this->array('days'))),
            'deep' => $this->boolean('deep'), 'until' => $this->filled('until') ? $this->string('until')->toString() : null, 'parts' => $this->parts(),
        ];
    }

    private function isNew(): bool
    {
        return ! $this->route('routine') instanceof Routine;
    }

    private function line(): ?RoutineLine
    {
        return RoutineLine::of((new CaughtLine($this->user(), Clock::now()))->understand($this->string('line')->toString()));
    }

    private function minute(): int
    {
        return HoursReader::clock($this->string('start')->toString());
    }

    /** @return list<array{title: string, minutes: int|null}> a line each, with its minutes at the end or without */
    private function parts(): array
    {
        $parts = [];
        foreach (preg_split('/\R/u', $this->string('parts')->toString()) ?: [] as $line) {
            if (trim($line) !== '') {
                preg_match('/^(?<title>.*?\S)(?:[\s,]+(?<minutes>\d{1,3})\s*(?:min(?:utes)?|m)?)?$/u', trim($line), $part);
                $parts[] = ['title' => mb_substr($part['title'] ?? trim($line), 0, 120), 'minutes' => ($part['minutes'] ?? '') === '' ? null : (int) $part['minutes']];
            }
        }

        return $parts;
    }
}
