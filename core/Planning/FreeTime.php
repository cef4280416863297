<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\Zone;

/**
 * The windows in which blocks may be laid, by set of hours: open, not busy, not anchored, from the first moment to the
 * horizon, cut at local midnights (limits count by the day) and drawn in to the step's wall-clock grid.
 */
final readonly class FreeTime
{
    /** @var array<list<array{int, int, int}>> by set: start, end, number of the local day */
    public array $windows;

    public function __construct(private PlanningProblem $problem)
    {
        $taken = $problem->busy->union(IntervalSet::covering(
            ...array_map(static fn (Block $block): Interval => $block->time, $problem->anchored),
        ));
        $windows = [];
        foreach ($problem->hours as $name => $hours) {
            $windows[$name] = [];
            foreach ($hours->without($taken)->between($problem->first, $problem->end)->intervals as $interval) {
                foreach ($this->pieces($interval, $problem->zone) as $piece) {
                    $aligned = $this->aligned($piece, $problem->zone, $problem->step);
                    if ($aligned !== null) {
                        $windows[$name][] = [$aligned->start, $aligned->end, $problem->zone->dayOf($aligned->start)->number];
                    }
                }
            }
        }
        $this->windows = $windows;
    }

    /**
     * Cut at midnights, and where the clocks change by something that is no multiple of the step, since the grid is
     * another one from there on.
     *
     * @return list<Interval>
     */
    private function pieces(Interval $interval, Zone $zone): array
    {
        $cuts = array_filter(
            $zone->changesWithin($interval),
            fn (int $at): bool => ($zone->offsetAt($at) - $zone->offsetAt($at - 1)) % $this->problem->step !== 0,
        );
        $last = $zone->dayOf($interval->end - 1);
        for ($day = $zone->dayOf($interval->start)->plusDays(1); $day->number <= $last->number; $day = $day->plusDays(1)) {
            $cuts[] = $zone->at($day, 0);
        }
        sort($cuts);
        $pieces = [];
        $start = $interval->start;
        foreach ([...$cuts, $interval->end] as $end) {
            if ($end > $start) {
                $pieces[] = new Interval($start, $end);
                $start = $end;
            }
        }

        return $pieces;
    }

    private function aligned(Interval $interval, Zone $zone, int $step): ?Interval
    {
        $start = $interval->start + (-$zone->minuteOfDay($interval->start) % $step + $step) % $step;
        $end = $interval->end - (($interval->end + $zone->offsetAt($interval->end - 1)) % $step + $step) % $step;

        return $end > $start ? new Interval($start, $end) : null;
    }
}
