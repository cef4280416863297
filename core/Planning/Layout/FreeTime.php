<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Layout;

use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\DayPart;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\Zone;

/**
 * The windows in which blocks may be laid: open, not busy, not anchored, no break, from the first moment to the horizon,
 * cut at local midnights (limits count by the day) and drawn in to the step's wall-clock grid. Tasks that may use the
 * same time share a lane: a set of hours, narrowed to a part of the day, less what is reserved for other work.
 */
final readonly class FreeTime
{
    /** @var list<list<array{int, int, int}>> by lane: start, end, number of the local day */
    public array $windows;

    /** @var list<string> by lane: the name of its set of hours */
    public array $hours;

    /** @var array<string, int> lane by task */
    public array $lane;

    /** @var array<string, int> by deep task: the lane it would rather use */
    public array $rather;

    /** Rests that the rule of breaks keeps free. */
    public IntervalSet $breaks;

    private IntervalSet $taken;

    public function __construct(private PlanningProblem $problem)
    {
        $anchored = IntervalSet::covering(...array_map(static fn (Block $block): Interval => $block->time, $problem->anchored));
        $taken = $problem->busy->union($anchored);
        $this->breaks = $problem->breaks === null ? IntervalSet::empty()
            : (new BreakTimes($problem->breaks, $problem->step))->within($this->open()->without($taken)->union($anchored), $anchored);
        $this->taken = $taken->union($this->breaks);
        $windows = $hours = $lane = $rather = $known = [];
        $use = function (string $set, ?string $part, bool $deep, bool $best) use (&$windows, &$hours, &$known): int {
            $key = $set."\0".$part.($deep || $this->problem->deepOnly === null ? '' : "\0light").($best ? "\0best" : '');
            if (! isset($known[$key])) {
                $known[$key] = count($windows);
                $hours[] = $set;
                $windows[] = $this->windowsOf($set, $part, $deep, $best);
            }

            return $known[$key];
        };
        foreach ($problem->tasks as $task) {
            $deep = $task->demand === Demand::Deep;
            $lane[$task->id] = $use($task->hours, $task->part, $deep, false);
            if ($deep && $problem->bestHours !== null) {
                $rather[$task->id] = $use($task->hours, $task->part, true, true);
            }
        }
        $this->windows = $windows;
        $this->hours = $hours;
        $this->lane = $lane;
        $this->rather = $rather;
    }

    /** All open time from the first moment on, whatever it is for. */
    private function open(): IntervalSet
    {
        $open = IntervalSet::empty();
        foreach ($this->problem->hours as $hours) {
            $open = $open->union($hours);
        }

        return $open->between($this->problem->first, $this->problem->end);
    }

    /** @return list<array{int, int, int}> */
    private function windowsOf(string $set, ?string $part, bool $deep, bool $best): array
    {
        $problem = $this->problem;
        $open = $problem->hours[$set]->between($problem->first, $problem->end);
        if ($part !== null) {
            $open = $open->intersection(DayPart::during($problem, $part));
        }
        if (! $deep && $problem->deepOnly !== null) {
            $open = $open->without($problem->deepOnly);
        }
        if ($best && $problem->bestHours !== null) {
            $open = $open->intersection($problem->bestHours);
        }
        $windows = [];
        foreach ($open->without($this->taken)->intervals as $interval) {
            foreach ($this->pieces($interval, $problem->zone) as $piece) {
                $aligned = $this->aligned($piece, $problem->zone, $problem->step);
                if ($aligned !== null) {
                    $windows[] = [$aligned->start, $aligned->end, $problem->zone->dayOf($aligned->start)->number];
                }
            }
        }

        return $windows;
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
