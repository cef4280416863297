<?php

declare(strict_types=1);

namespace Nekto\Core\Pressure;

use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\Zone;

/** Minutes that can be planned until a moment: open time, and of each local day no more than its limits allow. O(log n). */
final class Supply
{
    /** @var list<int> of each piece of open time within one day */
    private array $starts = [];

    /** @var list<int> */
    private array $ends = [];

    /** @var list<int> the place of its day among the days with open time */
    private array $days = [];

    /** @var list<int> open minutes of its day before it */
    private array $within = [];

    /** @var list<int> by day: its number */
    private array $numbers = [];

    /** @var array<int, int> by day: minutes that the days before it allow */
    private array $before = [];

    /** @var array<int, int> by day */
    private array $limits = [];

    /** @var array<int, int> by day: all of its open minutes */
    private array $open = [];

    /** @param  IntervalSet  $open  hours − busy time − anchored blocks − breaks; what is before now is gone */
    public function __construct(IntervalSet $open, public readonly int $now, Zone $zone, DayLimit ...$limits)
    {
        $number = null;
        $day = -1;
        $midnight = PHP_INT_MIN;
        foreach ($open->intervals as $interval) {
            for ($start = max($now, $interval->start); $start < $interval->end; $start = $end) {
                if ($start >= $midnight) {
                    $local = $zone->dayOf($start);
                    $midnight = $zone->day($local)->end;
                    if ($local->number !== $number) {
                        $this->numbers[] = $number = $local->number;
                        $this->limits[] = PHP_INT_MAX;
                        $this->open[] = 0;
                        $day++;
                    }
                }
                $end = min($interval->end, $midnight);
                $this->starts[] = $start;
                $this->ends[] = $end;
                $this->days[] = $day;
                $this->within[] = $this->open[$day];
                $this->open[$day] += $end - $start;
            }
        }
        $this->limit(...$limits);
    }

    /** The same with another limit beside the ones it has. */
    public function under(DayLimit $limit): self
    {
        $under = clone $this;
        $under->limit($limit);

        return $under;
    }

    private function limit(DayLimit ...$limits): void
    {
        $sum = 0;
        foreach ($this->numbers as $day => $number) {
            foreach ($limits as $limit) {
                $this->limits[$day] = min($this->limits[$day], $limit->on($number));
            }
            $this->before[$day] = $sum;
            $sum += min($this->limits[$day], $this->open[$day]);
        }
    }

    public function until(int $moment): int
    {
        $piece = $this->piece($moment);
        if ($piece < 0) {
            return 0;
        }
        $day = $this->days[$piece];

        return $this->before[$day] + min($this->limits[$day], $this->gone($piece, $moment));
    }

    /**
     * The corners of the curve that until() is: between two of them it rises a minute a minute, or stands still.
     *
     * @return list<array{int, int}> moments up to the given one, and the minutes until then
     */
    public function corners(int $until): array
    {
        $corners = [[$this->now, 0]];
        foreach ($this->starts as $piece => $start) {
            if ($start >= $until) {
                break;
            }
            $end = min($until, $this->ends[$piece]);
            $day = $this->days[$piece];
            $full = $start + max(0, $this->limits[$day] - $this->within[$piece]); // when the day's limit is reached
            foreach (array_unique([$start, min($end, $full), $end]) as $moment) {
                $corners[] = [$moment, $this->until($moment)];
            }
        }
        $corners[] = [$until, $this->until($until)];

        return $corners;
    }

    /** The same from a later moment on: the limits of its day are all there still. */
    public function between(int $from, int $until): int
    {
        $piece = $this->piece($from);
        $last = $this->piece($until);
        if ($piece < 0 || $last < 0 || $from >= $until) {
            return $from >= $until ? 0 : $this->until($until);
        }
        [$day, $lastDay] = [$this->days[$piece], $this->days[$last]];
        $gone = $this->gone($piece, $from);
        if ($day === $lastDay) {
            return min($this->limits[$day], $this->gone($last, $until) - $gone);
        }

        return min($this->limits[$day], $this->open[$day] - $gone) + $this->until($until) - $this->before[$day + 1];
    }

    /** Open minutes of the piece's day until a moment that is in it or after it. */
    private function gone(int $piece, int $moment): int
    {
        return $this->within[$piece] + min($this->ends[$piece], $moment) - $this->starts[$piece];
    }

    /** The last piece that begins before a moment; -1 if none does. */
    private function piece(int $moment): int
    {
        $low = 0;
        $high = count($this->starts);
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            $this->starts[$middle] < $moment ? $low = $middle + 1 : $high = $middle;
        }

        return $low - 1;
    }
}
