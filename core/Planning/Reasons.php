<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\DayPart;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Plan\Reason;
use Nekto\Core\Plan\ReasonCode;
use Nekto\Core\Planning\Layout\FreeTime;
use Nekto\Core\Planning\Promises\HabitTime;
use Nekto\Core\Task\Demand;
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

    /** @var array<string, int> end of the last block by task */
    private array $finish;

    /** @var array<string, true> what the last plan has, as task and time */
    private array $previous;

    /** @var array<string, true> tasks without a place for all of their minutes */
    private array $unfinished;

    /** @var array<array<string, IntervalSet>> time that is left over, by set of hours and demand */
    private array $gaps;

    /** @param  array<string, HabitTime>  $habits  by task id */
    public function __construct(private PlanningProblem $problem, private Plan $plan, private FreeTime $free, private array $habits = [])
    {
        $tasks = $finish = $previous = $unfinished = [];
        foreach ($problem->tasks as $task) {
            $tasks[$task->id] = $task;
        }
        foreach ($plan->blocks as $block) {
            $finish[$block->task] = max($finish[$block->task] ?? 0, $block->time->end);
        }
        foreach ($problem->previous as $block) {
            $previous[self::key($block)] = true;
        }
        foreach ($plan->unplaced as $one) {
            $unfinished[$one->task] = true;
        }
        $this->tasks = $tasks;
        $this->finish = $finish;
        $this->previous = $previous;
        $this->unfinished = $unfinished;
        $taken = IntervalSet::covering(...array_map(static fn (Block $block): Interval => $block->time, $plan->blocks))
            ->union($problem->busy)->union($free->breaks);
        $gaps = [];
        foreach ($problem->hours as $name => $hours) {
            $left = $hours->between($problem->first, $problem->end)->without($taken);
            $gaps[$name] = [Demand::Deep->value => $left, Demand::Light->value => $problem->deepOnly === null ? $left : $left->without($problem->deepOnly)];
        }
        $this->gaps = $gaps;
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
        [$first, $from] = $this->whyThen($task, $block, $earlier);

        return [$first, ...$this->obstacles($task, $from, $block, $index), ...$this->merits($task, $block)];
    }

    /** @return array{Reason, int} and the moment from which it could have begun */
    private function whyThen(Task $task, Block $block, ?Block $earlier): array
    {
        $from = $this->problem->first;
        $first = new Reason(ReasonCode::EarliestOpen);
        if ($task->notBefore !== null && $task->notBefore > $from) {
            $from = $task->notBefore;
            $first = new Reason(ReasonCode::NotBefore, ['at' => $from]);
        }
        foreach ($task->after as $name) {
            if (($this->finish[$name] ?? 0) > $from) {
                $from = $this->finish[$name];
                $first = $task->project !== null && $this->tasks[$name]->project === $task->project
                    ? new Reason(ReasonCode::NextStep, ['project' => $task->project, 'task' => $name])
                    : new Reason(ReasonCode::AfterTask, ['task' => $name]);
            }
        }
        if ($earlier !== null) {
            $from = max($from, $earlier->time->end);
            $first = new Reason(ReasonCode::Continues);
        }
        $kept = isset($this->previous[self::key($block)]);
        $day = $this->problem->zone->dayOf($block->time->start)->number;
        $habit = $this->habits[$task->id] ?? null;
        $first = match (true) {
            $kept && $block->time->start < $this->problem->frozenUntil => new Reason(ReasonCode::Frozen),
            $task->pick === $day => new Reason(ReasonCode::Picked, ['day' => $day]),
            $kept => new Reason(ReasonCode::Kept),
            $habit !== null => new Reason(ReasonCode::Habit, ['habit' => $habit->habit]),
            default => $first,
        };

        return [$first, $from];
    }

    /** @return list<Reason> what lies between the moment it could have begun and its start, the nearest first */
    private function obstacles(Task $task, int $from, Block $block, int $index): array
    {
        $found = [];
        for ($i = $index - 1; $i >= 0 && count($found) < self::NAMED && $this->plan->blocks[$i]->time->end > $from; $i--) {
            $found[] = [$this->plan->blocks[$i]->time->end, new Reason(ReasonCode::BehindTask, ['task' => $this->plan->blocks[$i]->task])];
        }
        $open = $this->problem->hours[$task->hours]->between($from, $block->time->start);
        foreach ([
            [ReasonCode::BehindBusy, $this->problem->busy],
            [ReasonCode::BehindBreak, $this->free->breaks],
            [ReasonCode::BehindDeepTime, $task->demand === Demand::Light ? $this->problem->deepOnly : null],
        ] as [$code, $times]) {
            $there = $times === null ? [] : $open->intersection($times)->intervals;
            if ($there !== []) {
                $last = end($there);
                $found[] = [$last->end, new Reason($code, ['start' => $last->start, 'end' => $last->end])];
            }
        }
        usort($found, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        $found = array_slice(array_column($found, 1), 0, self::NAMED);
        $gap = $this->firstGap($task, $from, $block);
        if ($gap !== null) {
            $outside = $task->part !== null && ! DayPart::during($this->problem, $task->part)->contains($gap->start);
            array_unshift($found, $outside
                ? new Reason(ReasonCode::PartOfDay, ['part' => (string) $task->part])
                : new Reason(ReasonCode::DayFull, ['day' => $this->problem->zone->dayOf($gap->start)->number]));
        }

        return array_values(array_unique($found, SORT_REGULAR));
    }

    /** The first gap that has room for the task's least block, which only a limit or a wish can have kept free. */
    private function firstGap(Task $task, int $from, Block $block): ?Interval
    {
        if ($this->isBest($task, $block)) {
            return null;
        }
        $least = min($task->minChunk, $task->minutes) + 2 * $this->problem->step;
        foreach ($this->gaps[$task->hours][$task->demand->value]->between($from, $block->time->start)->intervals as $gap) {
            if ($gap->length() >= $least) {
                return $gap;
            }
        }

        return null;
    }

    /** @return list<Reason> what is good or bad about its place */
    private function merits(Task $task, Block $block): array
    {
        $merits = $this->isBest($task, $block) ? [new Reason(ReasonCode::BestHours)] : [];
        if ($task->due !== null && ! isset($this->unfinished[$task->id])) {
            $merits[] = new Reason($this->finish[$task->id] <= $task->due->at ? ReasonCode::InTime : ReasonCode::Late, ['due' => $task->due->at]);
        }

        return $merits;
    }

    private function isBest(Task $task, Block $block): bool
    {
        return $task->demand === Demand::Deep && $this->problem->isBest($block->time);
    }

    private static function key(Block $block): string
    {
        return "{$block->task}/{$block->time->start}/{$block->time->end}";
    }
}
