<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;

/** Reads off a finished plan why each block lies where it lies and what kept it from lying earlier. */
final readonly class Reasons
{
    /** Obstacles that are named for a block: more than two nobody reads. */
    private const NAMED = 2;

    /** @var array<string, Task> */
    private array $tasks;

    /** @var array<string, int> */
    private array $finish;

    public function __construct(private PlanningProblem $problem, private Plan $plan)
    {
        $tasks = $finish = [];
        foreach ($problem->tasks as $task) {
            $tasks[$task->id] = $task;
        }
        foreach ($plan->blocks as $block) {
            $finish[$block->task] = $block->time->end;
        }
        $this->tasks = $tasks;
        $this->finish = $finish;
    }

    /** @return list<list<Reason>> one list a block of the plan, in its order */
    public function all(): array
    {
        $seen = [];
        $all = [];
        foreach ($this->plan->blocks as $index => $block) {
            $all[] = $this->of($block, $index, $seen[$block->task] ?? null);
            $seen[$block->task] = $block;
        }

        return $all;
    }

    /** @return list<Reason> */
    private function of(Block $block, int $index, ?Block $earlier): array
    {
        if ($block->anchored) {
            return [new Reason(ReasonCode::Anchored)];
        }
        $task = $this->tasks[$block->task];
        $from = $this->problem->first;
        $first = new Reason(ReasonCode::EarliestOpen);
        if ($task->notBefore !== null && $task->notBefore > $from) {
            $from = $task->notBefore;
            $first = new Reason(ReasonCode::NotBefore, ['at' => $from]);
        }
        foreach ($task->after as $name) {
            if (($this->finish[$name] ?? 0) > $from) {
                $from = $this->finish[$name];
                $first = new Reason(ReasonCode::AfterTask, ['task' => $name]);
            }
        }
        if ($earlier !== null) {
            $from = max($from, $earlier->time->end);
            $first = new Reason(ReasonCode::Continues);
        }
        foreach ($this->problem->previous as $old) {
            if ($old->task === $block->task && $old->time->equals($block->time)) {
                $first = new Reason(ReasonCode::Kept);
            }
        }

        return [$first, ...$this->obstacles($task, $from, $block, $index)];
    }

    /** @return list<Reason> what lies between the moment it could have begun and its start, the nearest first */
    private function obstacles(Task $task, int $from, Block $block, int $index): array
    {
        $found = [];
        for ($i = $index - 1; $i >= 0 && count($found) < self::NAMED && $this->plan->blocks[$i]->time->end > $from; $i--) {
            $found[] = new Reason(ReasonCode::BehindTask, ['task' => $this->plan->blocks[$i]->task]);
        }
        $open = $this->problem->hours[$task->hours]->between($from, $block->time->start);
        $busy = $open->intersection($this->problem->busy)->intervals;
        if ($busy !== [] && count($found) < self::NAMED) {
            $last = end($busy);
            $found[] = new Reason(ReasonCode::BehindBusy, ['start' => $last->start, 'end' => $last->end]);
        }
        $day = $this->fullDay($task, $open);
        if ($day !== null) {
            array_unshift($found, new Reason(ReasonCode::DayFull, ['day' => $day]));
        }

        return array_values(array_unique($found, SORT_REGULAR));
    }

    /** The first day that had a gap for the task's least block, which only a limit can have kept free. */
    private function fullDay(Task $task, IntervalSet $open): ?int
    {
        $taken = IntervalSet::covering(...array_map(static fn (Block $block): Interval => $block->time, $this->plan->blocks));
        $least = min($task->minChunk, $task->minutes) + 2 * $this->problem->step;
        foreach ($open->without($this->problem->busy)->without($taken)->intervals as $gap) {
            if ($gap->length() >= $least) {
                return $this->problem->zone->dayOf($gap->start)->number;
            }
        }

        return null;
    }
}
