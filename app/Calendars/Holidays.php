<?php

declare(strict_types=1);

namespace App\Calendars;

use App\ICalendar\CalendarSplitter;
use App\ICalendar\EventGroup;
use App\ICalendar\UnreadableCalendar;
use App\Meetings\EventReader;
use App\Meetings\TakeEvents;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** Public holidays out of a calendar file: its whole days, as far ahead as anybody plans. */
final readonly class Holidays
{
    /** Days ahead: a file may know fifty years, and whoever needs the later ones brings it in again. */
    public const AHEAD = 731;

    private const MOST_EVENTS = 5000;

    /** Days of one event: what is longer is no holiday but a season. */
    private const LONGEST = 31;

    /**
     * @param  array<string, string>  $days  names by date, in order
     * @param  int  $timed  events at a time of the day, which are none
     * @param  list<array{line: int, what: string}>  $problems
     */
    private function __construct(public array $days, public int $timed, public array $problems) {}

    /** @throws UnreadableCalendar if the text is no calendar, or has more in it than anybody's holidays */
    public static function read(string $text, LocalDay $today): self
    {
        $split = (new CalendarSplitter('VEVENT'))->split($text);
        count($split['components']) <= self::MOST_EVENTS || throw new UnreadableCalendar(__('settings.holidays.too_many', ['count' => self::MOST_EVENTS]));
        $from = CarbonImmutable::parse($today->asString(), 'UTC');
        $reader = new EventReader(new \DateTimeZone('UTC'), [], $from, $from->addDays(self::AHEAD));
        $days = [];
        $timed = 0;
        $problems = $split['problems'];
        foreach (EventGroup::of($split['components']) as $group) {
            try {
                foreach (TakeEvents::read($reader, $group)->occurrences as $one) {
                    $one->isDay ? $days += self::days($one->summary, $one->startsAt, $one->endsAt, $today) : $timed++;
                }
            } catch (UnreadableCalendar $error) {
                $problems[] = ['line' => $group->line, 'what' => $error->getMessage()];
            }
        }
        ksort($days);

        return new self($days, $timed, $problems);
    }

    /** @return array<string, string> */
    private static function days(string $name, string $startsAt, string $endsAt, LocalDay $today): array
    {
        $days = [];
        $end = substr($endsAt, 0, 10);
        for ($day = LocalDay::fromString(substr($startsAt, 0, 10)); $day->asString() < $end && count($days) < self::LONGEST; $day = $day->plusDays(1)) {
            $day->number >= $today->number && $days[$day->asString()] = mb_substr($name, 0, 80);
        }

        return $days;
    }
}
