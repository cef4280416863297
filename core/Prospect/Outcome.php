<?php

declare(strict_types=1);

namespace Nekto\Core\Prospect;

use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Task\Task;

/** How a plan ends: when each task is finished, what is late, what has no place, and what that costs. */
final readonly class Outcome
{
    /** @var array<string, int> when each completely placed task is finished */
    public array $finish;

    /** @var array<string, int> minutes after its due date by task, late ones only; for one without a place, from the horizon on */
    public array $late;

    /** @var array<string, int> what that costs by task, in twentieths of a weighted minute; a hard due date counts ten times */
    public array $lateness;

    /** @var list<string> tasks without a place for all of their minutes */
    public array $unplaced;

    /** In twentieths of a minute, as in bench/README.md. */
    public int $cost;

    public function __construct(PlanningProblem $problem, Plan $plan)
    {
        $finish = $late = $lateness = $missing = [];
        foreach ($plan->blocks as $block) {
            $finish[$block->task] = max($finish[$block->task] ?? 0, $block->time->end);
        }
        foreach ($plan->unplaced as $one) {
            $missing[$one->task] = $one->minutes;
            unset($finish[$one->task]);
        }
        $cost = 0;
        foreach ($problem->tasks as $task) {
            $end = $finish[$task->id] ?? $problem->end + ($missing[$task->id] ?? $task->minutes);
            $cost += $task->cost($end, $problem->now);
            if ($task->due !== null && $end > $task->due->at) {
                $late[$task->id] = $end - $task->due->at;
                $lateness[$task->id] = $task->lateness() * $late[$task->id];
            }
        }
        $this->finish = $finish;
        $this->late = $late;
        $this->lateness = $lateness;
        $this->unplaced = array_values(array_map(
            static fn (Task $task): string => $task->id,
            array_filter($problem->tasks, static fn (Task $task): bool => ! isset($finish[$task->id])),
        ));
        $this->cost = $cost;
    }

    /** True if every task has its place and meets its due date. */
    public function isOnTime(): bool
    {
        return $this->late === [] && $this->unplaced === [];
    }

    /** Minutes of lateness, all tasks together. */
    public function lateMinutes(): int
    {
        return array_sum($this->late);
    }
}
