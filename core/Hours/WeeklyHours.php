<?php

declare(strict_types=1);

namespace Nekto\Core\Hours;

use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Zone;

/** A named set of opening times: the same every week, but for days with times of their own or none. */
final readonly class WeeklyHours
{
    public const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    /**
     * @param  array<string, list<Stretch>>  $week  by "mon" to "sun"; a missing day is closed
     * @param  array<int, list<Stretch>>  $exceptions  by the day's number; replaces the whole day
     */
    public function __construct(public array $week, public array $exceptions = []) {}

    /**
     * From the shape of the problem format: weekday or "exceptions" → list of ["HH:MM", "HH:MM"].
     *
     * @param  array<string, list<array{string, string}>>  $week
     * @param  array<string, list<array{string, string}>>  $exceptions  by date
     *
     * @throws InvalidHours if a key or a stretch cannot be
     * @throws InvalidTime if an exception is no date
     */
    public static function fromArrays(array $week, array $exceptions = []): self
    {
        foreach (array_keys($week) as $key) {
            in_array($key, self::WEEKDAYS, true) || throw InvalidHours::unknownKey($key);
        }
        $special = [];
        foreach ($exceptions as $date => $day) {
            $special[LocalDay::fromString($date)->number] = self::stretches($day);
        }

        return new self(array_map(self::stretches(...), $week), $special);
    }

    /** @return list<Stretch> */
    public function on(LocalDay $day): array
    {
        return $this->exceptions[$day->number] ?? $this->week[$day->weekdayKey()] ?? [];
    }

    /**
     * The open minutes of so many local days. A stretch that a clock change swallows whole is left out.
     */
    public function during(Zone $zone, LocalDay $first, int $days): IntervalSet
    {
        $open = [];
        for ($i = 0; $i < $days; $i++) {
            $day = $first->plusDays($i);
            foreach ($this->on($day) as $stretch) {
                $start = $zone->at($day, $stretch->from);
                $end = $zone->at($day, $stretch->to);
                if ($end > $start) {
                    $open[] = new Interval($start, $end);
                }
            }
        }

        return IntervalSet::covering(...$open);
    }

    /**
     * @param  list<array{string, string}>  $day
     * @return list<Stretch>
     */
    private static function stretches(array $day): array
    {
        return array_map(static fn (array $pair): Stretch => Stretch::fromClock($pair[0], $pair[1]), $day);
    }
}
