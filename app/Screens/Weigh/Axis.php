<?php

declare(strict_types=1);

namespace App\Screens\Weigh;

use App\Rows\WorkTime;
use App\Time\Weeks;
use Nekto\Core\Time\LocalDay;

/** The field's axis of time left: late, today, this week, the next two weeks, later, no date. Shares of its width. */
final readonly class Axis
{
    private const WIDTHS = ['late' => 0.09, 'today' => 0.11, 'week' => 0.21, 'fortnight' => 0.34, 'later' => 0.13, 'none' => 0.12];

    private const ZOOMED = 0.72;

    /** "Later" is drawn to so many days; what is due beyond lies at its end. */
    private const LATER_DAYS = 70;

    /** @param  array<string, array{from: float, to: float, first: int, days: int}>  $parts  place, first day's number, days */
    private function __construct(public array $parts, private WorkTime $time, private LocalDay $today) {}

    public static function of(LocalDay $today, WorkTime $time, ?string $zoom): self
    {
        $widths = self::WIDTHS;
        $left = Weeks::first($time->user, $today)->number + 6 - $today->number; // days of the person's week that are still to come
        if ($left === 0) {
            $widths = ['week' => 0.0, 'fortnight' => $widths['fortnight'] + $widths['week']] + $widths;
        }
        if ($zoom !== null && ($widths[$zoom] ?? 0.0) > 0) {
            $rest = (1 - self::ZOOMED) / (1 - $widths[$zoom]);
            $widths = array_map(static fn (float $width): float => $width * $rest, $widths);
            $widths[$zoom] = self::ZOOMED;
        }
        $first = ['late' => $today->number - 7, 'today' => $today->number, 'week' => $today->number + 1, 'fortnight' => $today->number + 1 + $left, 'later' => $today->number + 15 + $left, 'none' => 0];
        $days = ['late' => 7, 'today' => 1, 'week' => $left, 'fortnight' => 14, 'later' => self::LATER_DAYS, 'none' => 1];
        $parts = [];
        $at = 0.0;
        foreach (array_keys(self::WIDTHS) as $name) {
            $parts[$name] = ['from' => $at, 'to' => $at + $widths[$name], 'first' => $first[$name], 'days' => max(1, $days[$name])];
            $at += $widths[$name];
        }

        return new self($parts, $time, $today);
    }

    /** @param  int|null  $due  minutes since 1970-01-01T00:00Z */
    public function place(?int $due): float
    {
        if ($due === null) {
            return $this->within('none', 0.35);
        }
        $day = $this->time->zone->dayOf(max(0, $due - 1)); // the end of a day belongs to it
        $share = ($this->time->zone->minuteOfDay(max(0, $due - 1))) / 1440;
        foreach (['fortnight', 'week', 'today'] as $name) {
            $part = $this->parts[$name];
            if ($part['to'] > $part['from'] && $day->number >= $part['first'] && $day->number < $part['first'] + $part['days']) {
                return $this->within($name, ($day->number - $part['first'] + $share) / $part['days']);
            }
        }
        if ($day->number < $this->today->number) {
            return $this->within('late', max(0.0, 1 - ($this->today->number - $day->number) / 7));
        }

        return $this->within('later', min(0.92, ($day->number - $this->parts['later']['first'] + $share) / $this->parts['later']['days']));
    }

    /** @return list<array{at: float, day: LocalDay|null}> ticks of days, for the frame and its dates */
    public function ticks(): array
    {
        $ticks = [];
        foreach (['today', 'week', 'fortnight'] as $name) {
            $part = $this->parts[$name];
            for ($i = 0; $part['to'] > $part['from'] && $i < $part['days']; $i++) {
                $ticks[] = ['at' => $this->within($name, $i / $part['days']), 'day' => new LocalDay($part['first'] + $i)];
            }
        }
        $ticks[] = ['at' => $this->parts['later']['from'], 'day' => new LocalDay($this->parts['later']['first'])];

        return $ticks;
    }

    /** The moment drawn at a place, for lines of equal pull; null where there is no date. */
    public function dueAt(float $place): ?int
    {
        foreach ($this->parts as $name => $part) {
            if ($name !== 'none' && $place >= $part['from'] && $place < $part['to']) {
                $days = ($place - $part['from']) / ($part['to'] - $part['from']) * $part['days'];

                return $this->time->zone->at(new LocalDay($part['first'] + (int) $days), 0) + (int) (1440 * ($days - (int) $days));
            }
        }

        return null;
    }

    private function within(string $name, float $share): float
    {
        return $this->parts[$name]['from'] + $share * ($this->parts[$name]['to'] - $this->parts[$name]['from']);
    }
}
