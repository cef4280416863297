<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;

/** A part of the day, on every day of a problem. */
final class DayPart
{
    public static function during(PlanningProblem $problem, string $part): IntervalSet
    {
        [$from, $until] = $problem->parts[$part];
        $last = $problem->zone->dayOf($problem->end - 1);
        $times = [];
        for ($day = $problem->zone->dayOf($problem->first); $day->number <= $last->number; $day = $day->plusDays(1)) {
            $start = $problem->zone->at($day, $from);
            $end = $problem->zone->at($day, $until);
            if ($end > $start) { // not so where the clocks jump over all of it
                $times[] = new Interval($start, $end);
            }
        }

        return IntervalSet::covering(...$times);
    }
}
