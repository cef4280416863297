<?php

declare(strict_types=1);

namespace Nekto\Core\Prospect;

use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Planning\Layout\FreeTime;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Task;

/**
 * How far each block of a plan could still slip, all together: if every one began at its latest start, all due dates that
 * hold by the plan would hold. A backward pass over the same open time: from the last block to the first, each goes as
 * late as its due date, its successors, the blocks laid before it and the limits of the days allow
 * (the backward pass of the critical path method, J. E. Kelley and M. R. Walker, 1959, on time with gaps). Anchored
 * blocks stay. Every block can at least stay where it is, so nothing that is in time gets a latest start before its
 * planned one.
 */
final class LatestStarts
{
    /** @var array<string, Slack> by task and start, as "12/29553660", those of completely placed tasks that are not anchored */
    public readonly array $blocks;

    /** @var array<string, Slack> that of its first block by task */
    public readonly array $tasks;

    /** @var list<array{int, int}> what is taken, by start */
    private array $taken = [];

    /** @var array<string, array<int, int>> minutes by limit and day */
    private array $used = [];

    private readonly FreeTime $free;

    public function __construct(private readonly PlanningProblem $problem, Plan $plan)
    {
        $this->free = new FreeTime($problem);
        $outcome = new Outcome($problem, $plan);
        $tasks = $followers = [];
        foreach ($problem->tasks as $task) {
            $tasks[$task->id] = $task;
            foreach ($task->after as $before) {
                $followers[$before][] = $task->id;
            }
        }
        foreach ($plan->blocks as $block) {
            $block->anchored && $this->take($block->time->start, $block->time->end);
        }
        $starts = $limit = $dated = $blocks = $first = [];
        foreach (array_reverse($plan->blocks) as $block) {
            $task = $tasks[$block->task] ?? null;
            if ($task === null || $block->anchored || ! isset($outcome->finish[$task->id])) {
                $block->anchored || $this->take($block->time->start, $block->time->end);

                continue;
            }
            if (! isset($limit[$task->id])) {
                $limit[$task->id] = isset($outcome->late[$task->id]) ? $outcome->finish[$task->id] : min($task->due->at ?? $problem->end, $problem->end);
                $dated[$task->id] = $task->due !== null;
                foreach ($followers[$task->id] ?? [] as $next) {
                    $dated[$task->id] = $dated[$task->id] || ($dated[$next] ?? false);
                    $limit[$task->id] = min($limit[$task->id], $starts[$next] ?? $problem->end);
                }
            }
            $starts[$task->id] = $limit[$task->id] = $this->latest($task, $block, $limit[$task->id]);
            $blocks["{$task->id}/{$block->time->start}"] = $first[$task->id] = $this->slack($task, $block->time->start, $starts[$task->id], $outcome->late[$task->id] ?? 0, $dated[$task->id] ?? false);
        }
        $this->blocks = $blocks;
        $this->tasks = $first;
    }

    private function slack(Task $task, int $planned, int $latest, int $late, bool $dated): Slack
    {
        $open = 0;
        foreach ($late > 0 ? [] : $this->free->windows[$this->free->lane[$task->id]] as [$start, $end]) {
            $open += max(0, min($end, $latest) - max($start, $planned));
        }

        return new Slack($planned, $latest, $late > 0 ? -$late : $open, $late, $dated);
    }

    /** The latest start of a block before a moment; takes the time. */
    private function latest(Task $task, Block $block, int $before): int
    {
        $length = $block->time->length();
        $start = $block->time->start;
        foreach (array_reverse($this->free->windows[$this->free->lane[$task->id]]) as [$from, $until, $day]) {
            if ($from >= $before || ! $this->hasRoom($task, $day, $length)) {
                continue;
            }
            $found = $this->lastGap($from, min($until, $before), $length);
            if ($found !== null) {
                $start = max($found, $start);

                break;
            }
        }
        $day = $this->problem->zone->dayOf($start)->number;
        foreach (array_keys($this->limits($task)) as $name) {
            $this->used[$name][$day] = ($this->used[$name][$day] ?? 0) + $length;
        }
        $this->take($start, $start + $length);

        return $start;
    }

    private function lastGap(int $from, int $until, int $length): ?int
    {
        for ($i = count($this->taken) - 1; $i >= 0; $i--) {
            [$start, $end] = $this->taken[$i];
            if ($start >= $until) {
                continue;
            }
            if ($end <= $from || $until - max($end, $from) >= $length) {
                break;
            }
            $until = $start;
        }

        return $until - $from >= $length ? $until - $length : null;
    }

    private function take(int $start, int $end): void
    {
        $low = 0;
        $high = count($this->taken);
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            $this->taken[$middle][0] < $start ? $low = $middle + 1 : $high = $middle;
        }
        array_splice($this->taken, $low, 0, [[$start, $end]]);
    }

    private function hasRoom(Task $task, int $day, int $length): bool
    {
        foreach ($this->limits($task) as $name => $limit) {
            if (($this->used[$name][$day] ?? 0) + $length > $limit->on($day)) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, DayLimit> */
    private function limits(Task $task): array
    {
        $limits = ['day' => $this->problem->dayLimit];
        if ($task->demand === Demand::Deep) {
            $limits['deep'] = $this->problem->deepLimit;
        }
        if (isset($this->problem->hoursLimits[$task->hours])) {
            $limits["hours {$task->hours}"] = $this->problem->hoursLimits[$task->hours];
        }

        return $limits;
    }
}
