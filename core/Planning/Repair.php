<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;

/**
 * Plans again from a previous plan, calmly: every block that still may lie where it lay is kept, the rest is placed
 * around them. Where a task then fares worse than in the previous plan and would be late, tasks that lie before it give
 * up their places, one at a time, as long as each costs less than it saves. What the previous plan was content with is
 * no reason to move anything: a task that does better than before counts as if it did as well as before.
 */
final readonly class Repair
{
    /** A moved minute weighs as much as so many twentieths of a minute of the objective: calm has a price. */
    private const MOVED = 400;

    /** @var array<string, list<Interval>> future blocks of the last plan, by task */
    private array $before;

    /** @var array<string, int> what each task cost in the last plan, where that placed all of it */
    private array $content;

    public function __construct(private PlanningProblem $problem, private FreeTime $free, private int $effort)
    {
        $before = $placed = $finish = $content = [];
        foreach ([...$problem->previous, ...$problem->anchored] as $block) {
            if (! $block->anchored && $block->time->start >= $problem->first) {
                $before[$block->task][] = $block->time;
            }
            $placed[$block->task] = ($placed[$block->task] ?? 0) + $block->time->length();
            $finish[$block->task] = max($finish[$block->task] ?? 0, $block->time->end);
        }
        foreach ($problem->tasks as $task) {
            if (($placed[$task->id] ?? 0) >= $task->minutes) {
                $content[$task->id] = $task->cost($finish[$task->id], $problem->now);
            }
        }
        $this->before = $before;
        $this->content = $content;
    }

    /** @param  list<Task>  $order  by urgency, predecessors first */
    public function draft(array $order): Draft
    {
        $loose = [];
        $best = $this->lay($order, $loose);
        $left = $this->effort;
        do {
            $improved = false;
            foreach ($this->worthLoosening($order, $best[0], $loose) as $id) {
                if ($left-- <= 0) {
                    break;
                }
                $candidate = $this->lay($order, $loose + [$id => true]);
                if ($candidate[1] < $best[1]) {
                    [$best, $loose, $improved] = [$candidate, $loose + [$id => true], true];
                }
            }
        } while ($improved && $left > 0);

        return $this->withoutNeedless($order, $loose, $best);
    }

    /**
     * What was loosened early may have become needless by what was loosened later.
     *
     * @param  list<Task>  $order
     * @param  array<string, true>  $loose
     * @param  array{Draft, int}  $best
     */
    private function withoutNeedless(array $order, array $loose, array $best): Draft
    {
        foreach (array_keys($loose) as $id) {
            $fewer = array_diff_key($loose, [$id => true]);
            $candidate = $this->lay($order, $fewer);
            if ($candidate[1] <= $best[1]) {
                [$best, $loose] = [$candidate, $fewer];
            }
        }

        return $best[0];
    }

    /**
     * @param  list<Task>  $order
     * @param  array<string, true>  $loose  tasks that give up their places
     * @return array{Draft, int} and its cost with what has moved
     */
    private function lay(array $order, array $loose): array
    {
        do {
            $draft = new Draft($this->problem, $this->free);
            $moved = 0;
            foreach ($order as $task) {
                $moved -= isset($loose[$task->id]) ? 0 : $this->keep($task, $draft);
                foreach ($this->before[$task->id] ?? [] as $time) {
                    $moved += $time->length();
                }
            }
            $tooEarly = null;
            foreach ($order as $task) {
                $from = $draft->earliest($task);
                $starts = array_map(static fn (Interval $time): int => $time->start, $this->before[$task->id] ?? []);
                if (! isset($loose[$task->id]) && $starts !== [] && ($from === null || min($starts) < $from)) {
                    $tooEarly = $task->id; // it would begin before what it comes after: it must move as well
                    break;
                }
                $draft->place($task);
            }
            $draft->layRests();
            $loose += $tooEarly === null ? [] : [$tooEarly => true];
        } while ($tooEarly !== null);

        return [$draft, $this->damage($draft) + self::MOVED * $moved];
    }

    /** The cost of a draft, where no task counts less than in the last plan. */
    private function damage(Draft $draft): int
    {
        $damage = 0;
        foreach ($draft->costs() as $id => $cost) {
            $damage += max($cost, $this->content[$id] ?? 0);
        }

        return $damage;
    }

    /**
     * Reserves the blocks of the last plan that a task may keep: those still free, long enough, and no more than it
     * needs, with a rest that can be laid in blocks of its own. Returns their minutes.
     */
    private function keep(Task $task, Draft $draft): int
    {
        $anchored = 0;
        foreach ($this->problem->anchored as $block) {
            $anchored += $block->task === $task->id ? $block->time->length() : 0;
        }
        $left = $own = $task->minutes - $anchored;
        $kept = [];
        foreach ($own > 0 ? $this->before[$task->id] ?? [] : [] as $time) {
            $chunks = new Chunks($task, $own, $this->problem->step);
            $rest = $left - $time->length();
            $fits = $time->length() >= $chunks->least && $time->length() <= $chunks->most
                && ($rest === 0 || $rest >= $chunks->least);
            if ($fits && $time->start >= ($task->notBefore ?? 0) && $this->isApart($task, $time, $kept) && $draft->accepts($task, $time)) {
                $draft->reserve($task, $time);
                $kept[] = $time;
                $left = $rest;
            }
        }

        return $own > 0 ? $own - $left : 0;
    }

    /** @param  list<Interval>  $kept */
    private function isApart(Task $task, Interval $time, array $kept): bool
    {
        foreach ($this->problem->anchored as $block) {
            if ($block->task === $task->id) {
                $kept[] = $block->time;
            }
        }
        foreach ($kept as $other) {
            if ($time->start <= $other->end && $other->start <= $time->end) {
                return false;
            }
        }

        return true;
    }

    /**
     * Kept tasks that lie before one finishes that is late and fares worse than it did, the cheapest to move first.
     *
     * @param  list<Task>  $order
     * @param  array<string, true>  $loose
     * @return list<string>
     */
    private function worthLoosening(array $order, Draft $draft, array $loose): array
    {
        $until = 0;
        $costs = $draft->costs();
        foreach ($order as $task) {
            $finish = $draft->finishOf($task->id) ?? $this->problem->end;
            $worse = ($costs[$task->id] ?? 0) > ($this->content[$task->id] ?? 0);
            if ($worse && $task->due !== null && $finish > $task->due->at) {
                $until = max($until, $finish);
            }
        }
        $ids = [];
        foreach (array_reverse($order) as $task) {
            $starts = array_map(static fn (Interval $time): int => $time->start, $this->before[$task->id] ?? []);
            if ($starts !== [] && min($starts) < $until && ! isset($loose[$task->id])) {
                $ids[] = $task->id;
            }
        }

        return $ids;
    }
}
