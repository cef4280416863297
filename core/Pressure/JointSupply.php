<?php

declare(strict_types=1);

namespace Nekto\Core\Pressure;

use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Zone;

/**
 * Minutes that can be planned until a moment in several sets of hours together, where time that lies in two of them counts
 * once and each keeps to its own limit of the day. Of one day it is a maximum flow from the sets through their limits into
 * the time they share, which by the max-flow min-cut theorem (L. R. Ford and D. R. Fulkerson, 1956) is the least cut: for
 * some of the sets their limits, for the others all the time that any of them has.
 */
final class JointSupply
{
    /** Cuts are looked through one by one; of more sets than this only the two plainest are. */
    private const MOST_SETS = 6;

    /** @var list<int> numbers of the days with open time */
    private array $numbers = [];

    /** @var array<int, list<IntervalSet>> by day and set */
    private array $open = [];

    /** @var array<int, int> minutes of all days before, by day */
    private array $before = [];

    private int $all = 0;

    /** @param  list<array{IntervalSet, DayLimit}>  $sets  open time and limit of each; what is before now is gone */
    public function __construct(private readonly array $sets, public readonly int $now, private readonly Zone $zone)
    {
        $whole = IntervalSet::empty();
        foreach ($sets as [$open]) {
            $whole = $whole->union($open);
        }
        $number = null;
        foreach ($whole->intervals as $interval) {
            for ($day = $zone->dayOf(max($now, $interval->start)); $interval->end > $now && $zone->day($day)->start < $interval->end; $day = $day->plusDays(1)) {
                $day->number === $number || $this->numbers[] = $number = $day->number;
            }
        }
        foreach ($this->numbers as $day) {
            $span = $zone->day(new LocalDay($day));
            $this->open[$day] = array_map(static fn (array $set): IntervalSet => $set[0]->between(max($now, $span->start), $span->end), $sets);
            $this->before[$day] = $this->all;
            $this->all += $this->ofDay($day, $span->end);
        }
    }

    public function until(int $moment): int
    {
        if ($moment <= $this->now) {
            return 0;
        }
        $day = $this->zone->dayOf($moment)->number;
        if (isset($this->open[$day])) {
            return $this->before[$day] + $this->ofDay($day, $moment);
        }
        foreach ($this->numbers as $number) {
            if ($number > $day) {
                return $this->before[$number];
            }
        }

        return $this->all;
    }

    /**
     * Moments at which the curve may turn, with its minutes there: where open time of a set begins or ends, and each quarter
     * of an hour in it.
     *
     * @return list<array{int, int}>
     */
    public function corners(int $until): array
    {
        $moments = [$this->now => true, $until => true];
        foreach ($this->open as $sets) {
            foreach ($sets as $set) {
                foreach ($set->intervals as $interval) {
                    for ($at = $interval->start; $at < $interval->end; $at += 15) {
                        $moments[$at] = true;
                    }
                    $moments[$interval->end] = true;
                }
            }
        }
        ksort($moments);
        $corners = [];
        foreach (array_keys($moments) as $moment) {
            $moment <= $until && $corners[] = [$moment, $this->until($moment)];
        }

        return $corners;
    }

    private function ofDay(int $day, int $until): int
    {
        $open = array_map(fn (IntervalSet $set): IntervalSet => $set->between($this->now, $until), $this->open[$day]);
        $limits = array_map(static fn (array $set): int => $set[1]->on($day), $this->sets);
        $count = count($open);
        $last = (1 << $count) - 1;
        $least = PHP_INT_MAX;
        foreach ($count > self::MOST_SETS ? [0, $last] : range(0, $last) as $cut) {
            $minutes = 0;
            $time = [];
            for ($i = 0; $i < $count && $minutes < $least; $i++) {
                if ($cut >> $i & 1) {
                    $minutes = $limits[$i] > $least ? $least : $minutes + $limits[$i];
                } else {
                    array_push($time, ...$open[$i]->intervals);
                }
            }
            $least = min($least, $minutes + ($time === [] || $minutes >= $least ? 0 : IntervalSet::covering(...$time)->length()));
        }

        return $least === PHP_INT_MAX ? 0 : $least;
    }
}
