<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Promises;

use Nekto\Core\Plan\Batch;
use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Plan\Reason;
use Nekto\Core\Plan\ReasonCode;
use Nekto\Core\Plan\Unplaced;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;

/**
 * Small light tasks of one context as one task, planned as one block, and spread out again in the plan. Together they
 * matter as much as the most important of them and are due with the first.
 */
final readonly class Gathering
{
    public PlanningProblem $problem;

    /** @var array<string, non-empty-list<Task>> members by the id of the task that stands for them */
    private array $members;

    public function __construct(PlanningProblem $problem)
    {
        $members = $problem->batches === null ? [] : self::groups($problem, $problem->batches->minutes, $problem->batches->small);
        $this->members = $members;
        $this->problem = $members === [] ? $problem : self::gathered($problem, $members);
    }

    /** The plan with members in the place of what stands for them. */
    public function spread(Plan $plan): Plan
    {
        if ($this->members === []) {
            return $plan;
        }
        $blocks = $reasons = $batches = $unplaced = [];
        foreach ($plan->blocks as $i => $block) {
            $members = $this->members[$block->task] ?? null;
            if ($members === null) {
                $blocks[] = $block;
                $reasons[] = $plan->reasons[$i] ?? [];

                continue;
            }
            $at = $block->time->start;
            foreach ($members as $task) {
                $blocks[] = new Block($task->id, new Interval($at, $at + $task->minutes));
                $reasons[] = [new Reason(ReasonCode::Batched, ['context' => (string) $task->context]), ...($plan->reasons[$i] ?? [])];
                $at += $task->minutes;
            }
            $batches[] = new Batch((string) $members[0]->context, $block->time, array_map(static fn (Task $task): string => $task->id, $members));
        }
        foreach ($plan->unplaced as $one) {
            foreach ($this->members[$one->task] ?? [] as $task) {
                $unplaced[] = new Unplaced($task->id, $task->minutes, $one->reason);
            }
            isset($this->members[$one->task]) || $unplaced[] = $one;
        }

        return new Plan($blocks, $unplaced, $reasons, $plan->breaks, $batches);
    }

    /** @return array<string, non-empty-list<Task>> */
    private static function groups(PlanningProblem $problem, int $most, int $small): array
    {
        $tied = array_fill_keys(array_merge(...array_map(static fn (Task $task): array => $task->after, $problem->tasks)), true);
        foreach ($problem->anchored as $block) {
            $tied[$block->task] = true;
        }
        $same = [];
        foreach ($problem->tasks as $task) {
            if ($task->context !== null && $task->demand === Demand::Light && $task->minutes <= min($small, $task->maxChunk) && $task->after === [] && ! isset($tied[$task->id])
                && ! $task->waiting && $task->pick === null && ($task->notBefore ?? 0) <= $problem->now) {
                $same[$task->context."\0".$task->hours."\0".$task->part][] = $task;
            }
        }
        $groups = [];
        foreach ($same as $tasks) {
            usort($tasks, static fn (Task $a, Task $b): int => [$a->due->at ?? PHP_INT_MAX, -$a->importance->value, $a->id] <=> [$b->due->at ?? PHP_INT_MAX, -$b->importance->value, $b->id]);
            $group = [];
            foreach ([...$tasks, null] as $task) {
                if ($group !== [] && ($task === null || self::minutes($group) + $task->minutes > $most)) {
                    if (count($group) > 1) {
                        $groups["batch:{$group[0]->context}:{$group[0]->id}"] = $group;
                    }
                    $group = [];
                }
                $task === null || $group[] = $task;
            }
        }

        return $groups;
    }

    /** @param  array<string, non-empty-list<Task>>  $groups */
    private static function gathered(PlanningProblem $problem, array $groups): PlanningProblem
    {
        $gone = [];
        $tasks = $previous = [];
        foreach ($groups as $id => $members) {
            foreach ($members as $task) {
                $gone[$task->id] = true;
            }
            $minutes = self::minutes($members);
            $tasks[] = new Task(
                id: $id,
                minutes: $minutes,
                importance: Importance::from(max(array_map(static fn (Task $task): int => $task->importance->value, $members))),
                hours: $members[0]->hours,
                due: $members[0]->due,
                minChunk: $minutes,
                maxChunk: $minutes,
                part: $members[0]->part,
                context: $members[0]->context,
            );
            $before = self::before($problem, $members);
            $before === null || $previous[] = new Block($id, $before);
        }
        $stay = static fn (Task $task): bool => ! isset($gone[$task->id]);
        $others = array_values(array_filter($problem->previous, static fn (Block $block): bool => ! isset($gone[$block->task])));

        return $problem->with(tasks: [...array_values(array_filter($problem->tasks, $stay)), ...$tasks], previous: [...$others, ...$previous]);
    }

    /**
     * Where the last plan had just these tasks together.
     *
     * @param  non-empty-list<Task>  $members
     */
    private static function before(PlanningProblem $problem, array $members): ?Interval
    {
        $times = [];
        foreach ($problem->previous as $block) {
            $times[$block->task][] = $block->time;
        }
        $together = [];
        foreach ($members as $task) {
            $time = $times[$task->id] ?? [];
            if (count($time) !== 1 || $time[0]->length() !== $task->minutes || ($together !== [] && $time[0]->start !== end($together)->end)) {
                return null;
            }
            $together[] = $time[0];
        }

        return new Interval($together[0]->start, end($together)->end);
    }

    /** @param  list<Task>  $tasks */
    private static function minutes(array $tasks): int
    {
        return array_sum(array_map(static fn (Task $task): int => $task->minutes, $tasks));
    }
}
