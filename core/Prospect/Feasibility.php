<?php

declare(strict_types=1);

namespace Nekto\Core\Prospect;

use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Planning\Layout\FreeTime;
use Nekto\Core\Pressure\DemandCurve;
use Nekto\Core\Pressure\DueWork;
use Nekto\Core\Pressure\Supply;
use Nekto\Core\Task\Demand;
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
            $limits = [$problem->hoursLimits[$name] ?? new DayLimit, $problem->dayLimit];
            $due = array_values(array_filter($problem->tasks, static fn (Task $task): bool => $task->hours === (string) $name && $task->due !== null));
            usort($due, static fn (Task $a, Task $b): int => [$a->due?->at, $a->id] <=> [$b->due?->at, $b->id]);
            $supply = new Supply($free[$name], $problem->first, $problem->zone, ...$limits);
            $curve = new DemandCurve(
                array_map(static fn (Task $task): DueWork => new DueWork($task->due->at ?? 0, max(0, $task->minutes - ($fixed[$task->id] ?? 0)), $task->demand === Demand::Deep), $due),
                $supply,
                $problem->deepLimit->isNone() ? null : $supply->under($problem->deepLimit),
            );
            $tasks = [];
            foreach ($due as $i => $task) {
                $tasks[] = $task->id;
                $at = $task->due->at ?? 0;
                if (($due[$i + 1]->due->at ?? null) !== $at) {
                    $demand = $curve->at($at, deep: true);
                    $points[] = new DuePoint((string) $name, $at, $demand->demand, $demand->supply, $tasks);
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

    /** @return array<IntervalSet> free time by set of hours, whatever part of the day a task keeps to */
    private static function free(PlanningProblem $problem): array
    {
        $taken = [...$problem->busy->intervals, ...array_map(static fn (Block $block): Interval => $block->time, $problem->anchored)];
        $breaks = (new FreeTime($problem))->breaks;
        $free = [];
        foreach ($problem->hours as $name => $hours) {
            $free[$name] = $hours->between($problem->first, $problem->end)->without(IntervalSet::covering(...$taken))->without($breaks);
        }

        return $free;
    }
}
