<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Calendars\OwnMeeting;
use App\Catch\CaughtLine;
use App\Models\User;
use App\Time\Clock;
use App\Time\Moments;
use App\Time\Zones;
use App\Wording\TypedTime;
use Illuminate\Foundation\Http\FormRequest;
use Nekto\Core\Capture\Line;
use Nekto\Core\Capture\MeetingLine;
use Nekto\Core\Time\LocalDay;

/** A meeting that the person writes down: as a line, or as a form has it. */
final class OwnMeetingRequest extends FormRequest
{
    private const LONGEST = 1440;

    /** A line of Gather may be a meeting too. */
    protected function prepareForValidation(): void
    {
        $this->has('lines') && $this->merge(['line' => trim($this->string('lines')->toString())]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return $this->has('line') ? ['line' => ['required', 'string', 'max:500', function (string $name, mixed $value, \Closure $fail): void {
            match (true) {
                preg_match('/\R/', (string) $value) === 1 => $fail(__('meetings.own.one')),
                $this->line() === null => $fail(__(MeetingLine::hasPassed($this->words()) ? 'meetings.own.passed' : 'meetings.own.no_day')),
                default => null,
            };
        }]] : [
            'title' => ['required', 'string', 'max:500'],
            'place' => ['nullable', 'string', 'max:200'],
            'link' => ['nullable', 'string', 'max:1000', 'url:https'],
            'day' => ['required', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01'],
            'start' => ['nullable', static function (string $name, mixed $value, \Closure $fail): void {
                TypedTime::minute($value) === null && $fail(__('task.unknown_time'));
            }],
            'minutes' => ['nullable', 'required_with:start', 'integer', 'between:5,'.self::LONGEST],
            'days' => ['nullable', 'integer', 'between:1,60'],
            'repeat' => ['nullable', 'string', 'max:200', function (string $name, mixed $value, \Closure $fail): void {
                is_string($value) && trim($value) !== '' && $this->rule() === null && $fail(__('meetings.own.no_rule'));
            }],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'line.required' => __('meetings.own.no_day'), 'title.required' => __('meetings.own.title'), 'title.max' => __('meetings.own.title'), 'link.*' => __('meetings.own.link'),
            'day.*' => __('task.unknown_date'), 'minutes.*' => __('meetings.own.minutes', ['most' => self::LONGEST]), 'days.*' => __('meetings.own.days'),
        ];
    }

    public function own(): OwnMeeting
    {
        $line = $this->has('line') ? $this->line() : null;
        $zone = $this->person()->zone;
        if ($line !== null) {
            return OwnMeeting::of($line, $zone);
        }
        $as = $this->as();

        return new OwnMeeting(...$as, rule: $this->rule(), zone: $zone);
    }

    /** @return array{title: string, place: string|null, link: string|null, day: string, minute: int|null, minutes: int} */
    public function as(): array
    {
        $minute = $this->filled('start') ? TypedTime::minute($this->input('start')) : null;
        [$title, $place] = $this->has('place') ? [trim($this->string('title')->toString()), trim($this->string('place')->toString()) ?: null] : MeetingLine::apart(trim($this->string('title')->toString()));

        return [
            'title' => $title, 'place' => $place, 'link' => $this->filled('link') ? $this->string('link')->toString() : null, 'day' => $this->string('day')->toString(), 'minute' => $minute,
            'minutes' => $minute === null ? 1440 * max(1, $this->integer('days')) : $this->integer('minutes'),
        ];
    }

    /** How it comes back, as it is said: "every thursday until 30 june". Null: not, or not understood. */
    public function rule(): ?string
    {
        return $this->filled('repeat') ? $this->understood()->understand($this->string('repeat')->toString())->repeat()?->rule : null;
    }

    private function line(): ?MeetingLine
    {
        [$today, $now] = $this->now();

        return MeetingLine::of($this->words(), $today, $now);
    }

    private function words(): Line
    {
        return $this->understood()->understand(MeetingLine::prepared($this->string('line')->toString()));
    }

    private function understood(): CaughtLine
    {
        return new CaughtLine($this->person(), Clock::now());
    }

    private function person(): User
    {
        $user = $this->user();

        return $user instanceof User ? $user : throw new \LogicException('Behind the sign-in.');
    }

    /** @return array{LocalDay, int} */
    private function now(): array
    {
        $user = $this->person();

        return [Moments::today($user, Clock::now()), Zones::named($user->zone)->minuteOfDay(Moments::minute(Clock::now()))];
    }
}
