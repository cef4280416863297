<?php

declare(strict_types=1);

namespace Bench;

use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\FreeTime;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Prospect\Outcome;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Task;

/**
 * The fewest tasks that must move when something breaks, by exhaustion: of every set of that many tasks it is tried whether
 * they can be laid anew, with all else held where it lies, so that nothing is later than in the mended plan and no pick
 * leaves its day. The margin may be used.
 */
final class Least
{
    /** Orders that are laid out for each set: they are of few tasks. */
    private const EFFORT = 30;

    /** @param  Plan  $mended  what is to be equalled with fewer */
    public static function of(PlanningProblem $problem, Plan $mended): int
    {
        $moved = count(self::moved($problem, $mended));
        $now = self::grief($problem, $mended);
        $blocks = array_values(array_filter($problem->previous, static fn (Block $block): bool => $block->time->end > $problem->first));
        $hit = array_values(array_unique(array_map(static fn (Block $block): string => $block->task, array_filter($blocks, static fn (Block $block): bool => $problem->busy->overlaps($block->time)))));
        $others = array_values(array_diff(array_unique(array_map(static fn (Block $block): string => $block->task, $blocks)), $hit));
        for ($more = 0; count($hit) + $more < $moved; $more++) {
            foreach (self::sets($others, $more) as $set) {
                if (self::grief($problem, self::withHeld($problem, $blocks, [...$hit, ...$set])) <= $now) {
                    return count($hit) + $more;
                }
            }
        }

        return $moved;
    }

    /** @return list<string> tasks that do not lie any more at all of the minutes at which they lay from now on */
    public static function moved(PlanningProblem $problem, Plan $plan): array
    {
        $of = new Compiled($problem, new FreeTime($problem));
        $there = [];
        foreach ($plan->blocks as $block) {
            $there[$of->index[$block->task]][] = [$block->time->start, $block->time->end];
        }

        return array_values(array_filter($of->ids, static fn (int $task): bool => $of->moved($task, $there[$task] ?? []) > 0, ARRAY_FILTER_USE_KEY));
    }

    /**
     * @param  list<Block>  $blocks
     * @param  list<string>  $free
     */
    private static function withHeld(PlanningProblem $problem, array $blocks, array $free): Plan
    {
        $deep = array_column(array_map(static fn (Task $task): array => [$task->id, $task->demand === Demand::Deep], $problem->tasks), 1, 0);
        $known = array_fill_keys(array_map(static fn (Task $task): string => $task->id, $problem->tasks), true);
        $held = array_values(array_filter($blocks, static fn (Block $block): bool => isset($known[$block->task]) && ! in_array($block->task, $free, true)));
        $limit = $problem->deepLimit;
        foreach ($held as $block) {
            $limit = $deep[$block->task] ? $limit->raisedOn($problem->zone->dayOf($block->time->start)->number, -$block->time->length()) : $limit;
        }
        $anchored = [...$problem->anchored, ...array_map(static fn (Block $block): Block => new Block($block->task, $block->time, true), $held)];

        $tasks = array_map(static fn (Task $task): Task => $task->with(minChunk: min($task->maxChunk, max($task->minChunk, min($problem->leastPiece, $task->minutes)))), $problem->tasks);

        return (new Planner(self::EFFORT))->plan($problem->with(tasks: $tasks, previous: [], anchored: $anchored, hoursLimits: [], deepLimit: $limit));
    }

    /** @return array{int, int, int} minutes without a place, minutes of picks that are not on their day, weighted lateness */
    private static function grief(PlanningProblem $problem, Plan $plan): array
    {
        $missing = 0;
        foreach ($problem->tasks as $task) {
            if ($task->pick !== null) {
                $there = array_sum(array_map(static fn (Block $block): int => $problem->zone->dayOf($block->time->start)->number === $task->pick ? $block->time->length() : 0, $plan->blocksOf($task->id)));
                $missing += max(0, min($task->minutes, $task->pickMinutes ?? $task->minutes) - $there);
            }
        }

        return [array_sum(array_map(static fn ($one): int => $one->minutes, $plan->unplaced)), $missing, array_sum((new Outcome($problem, $plan))->lateness)];
    }

    /**
     * @param  list<string>  $of
     * @return iterable<list<string>>
     */
    private static function sets(array $of, int $size, int $from = 0): iterable
    {
        if ($size === 0) {
            yield [];

            return;
        }
        for ($i = $from; $i < count($of); $i++) {
            foreach (self::sets($of, $size - 1, $i + 1) as $rest) {
                yield [$of[$i], ...$rest];
            }
        }
    }
}
