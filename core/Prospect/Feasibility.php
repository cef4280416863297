<?php

declare(strict_types=1);

namespace Nekto\Core\Prospect;

use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Planning\Layout\FreeTime;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;

/**
 * Whether all due work can be done in time, known before anything is planned: at every due date the work of its set of
 * hours that is due by then, against the time that is open until then. A demand above the supply cannot be met by any
 * plan; one below it may still fail for gaps that are too short, which only a plan shows.
 */
final readonly class Feasibility
{
    /** @var list<DuePoint> by due date, then by set of hours */
    public array $points;

    public function __construct(PlanningProblem $problem)
    {
        $points = [];
        $fixed = [];
        foreach ($problem->anchored as $block) {
            $fixed[$block->task] = ($fixed[$block->task] ?? 0) + $block->time->length();
        }
        $free = self::free($problem);
        foreach (array_keys($problem->hours) as $name) {
            $due = array_filter($problem->tasks, static fn (Task $task): bool => $task->hours === (string) $name && $task->due !== null);
            usort($due, static fn (Task $a, Task $b): int => [$a->due?->at, $a->id] <=> [$b->due?->at, $b->id]);
            $demand = 0;
            $tasks = [];
            foreach ($due as $i => $task) {
                $demand += max(0, $task->minutes - ($fixed[$task->id] ?? 0));
                $tasks[] = $task->id;
                $at = $task->due->at ?? 0;
                if (($due[$i + 1]->due->at ?? null) !== $at) {
                    $points[] = new DuePoint((string) $name, $at, $demand, self::supply($problem, (string) $name, $free[$name], $at), $tasks);
                }
            }
        }
        usort($points, static fn (DuePoint $a, DuePoint $b): int => [$a->due, $a->hours] <=> [$b->due, $b->hours]);
        $this->points = $points;
    }

    /** The first due date that cannot be met; null if none is known to fail. */
    public function firstCrunch(): ?DuePoint
    {
        foreach ($this->points as $point) {
            if ($point->missing() > 0) {
                return $point;
            }
        }

        return null;
    }

    /** @return array<list<Interval>> free time by set of hours, whatever part of the day a task keeps to */
    private static function free(PlanningProblem $problem): array
    {
        $taken = [...$problem->busy->intervals, ...array_map(static fn (Block $block): Interval => $block->time, $problem->anchored)];
        $breaks = (new FreeTime($problem))->breaks;
        $free = [];
        foreach ($problem->hours as $name => $hours) {
            $free[$name] = $hours->between($problem->first, $problem->end)->without(IntervalSet::covering(...$taken))->without($breaks)->intervals;
        }

        return $free;
    }

    /** @param  list<Interval>  $free */
    private static function supply(PlanningProblem $problem, string $hours, array $free, int $until): int
    {
        $days = [];
        foreach ($free as $interval) {
            for ($start = $interval->start; $start < min($interval->end, $until); $start = $end) {
                $day = $problem->zone->dayOf($start);
                $end = min($interval->end, $until, $problem->zone->day($day)->end);
                $days[$day->number] = ($days[$day->number] ?? 0) + $end - $start;
            }
        }
        $line = $problem->hoursLimits[$hours] ?? new DayLimit;
        $supply = 0;
        foreach ($days as $day => $minutes) {
            $supply += min($minutes, $line->on($day), $problem->dayLimit->on($day));
        }

        return $supply;
    }
}
