<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

use Nekto\Core\Time\Interval;

/**
 * Plans again from a previous plan, calmly: every block that still may lie where it lay is kept, the rest is placed
 * around them. Where a task then fares worse than in the previous plan and would be late, tasks that lie before it give
 * up their places, one at a time, as long as each costs less than it saves; whoever did so needlessly gets its place
 * back. What the previous plan was content with is no reason to move anything: a task that does better than before
 * counts as if it did as well as before.
 */
final readonly class Repair
{
    /** A moved minute weighs as much as so many twentieths of a minute of the objective: calm has a price. */
    private const MOVED = 400;

    /** @var array<int, list<array{int, int}>> by task: future blocks of the last plan */
    private array $before;

    /** @var array<int, int> by task: what it cost in the last plan, where that placed all of it */
    private array $content;

    public function __construct(private Compiled $of, private int $effort)
    {
        $index = array_flip($of->ids);
        $before = $placed = $finish = $content = [];
        foreach ([...$of->problem->previous, ...$of->problem->anchored] as $block) {
            $task = $index[$block->task] ?? null;
            if ($task === null) {
                continue;
            }
            if (! $block->anchored && $block->time->start >= $of->problem->first) {
                $before[$task][] = [$block->time->start, $block->time->end];
            }
            $placed[$task] = ($placed[$task] ?? 0) + $block->time->length();
            $finish[$task] = max($finish[$task] ?? 0, $block->time->end);
        }
        foreach ($of->problem->tasks as $task => $known) {
            if (($placed[$task] ?? 0) >= $known->minutes) {
                $content[$task] = $of->cost($task, $finish[$task]);
            }
        }
        $this->before = $before;
        $this->content = $content;
    }

    /** @param  list<int>  $order  by urgency, predecessors first */
    public function draft(array $order, FreeTime $free): Draft
    {
        $loose = [];
        $best = $this->lay($order, $loose);
        $left = $this->effort;
        do {
            $improved = false;
            foreach ($this->worthLoosening($order, $best[0], $loose) as $task) {
                if ($left-- <= 0) {
                    break;
                }
                $candidate = $this->lay($order, $loose + [$task => true]);
                if ($candidate[1] < $best[1]) {
                    [$best, $loose, $improved] = [$candidate, $loose + [$task => true], true];
                }
            }
        } while ($improved && $left > 0);

        $loose = $this->withoutNeedless($order, $loose, $best);

        return $this->drawn($this->ordered($order, $loose), $loose, $free);
    }

    /**
     * A better order for what is laid around the kept blocks; the given one if none is found.
     *
     * @param  list<int>  $order
     * @param  array<int, true>  $loose
     * @return list<int>
     */
    private function ordered(array $order, array $loose): array
    {
        $better = (new OrderSearch($this->of, $this->kept($order, $loose)[0]))->improve($order, $this->effort);

        return $this->lay($better, $loose)[1] < $this->lay($order, $loose)[1] ? $better : $order;
    }

    /**
     * What was loosened early may have become needless by what was loosened later.
     *
     * @param  list<int>  $order
     * @param  array<int, true>  $loose
     * @param  array{Timetable, int}  $best
     * @return array<int, true>
     */
    private function withoutNeedless(array $order, array $loose, array $best): array
    {
        foreach (array_keys($loose) as $task) {
            $fewer = array_diff_key($loose, [$task => true]);
            $candidate = $this->lay($order, $fewer);
            if ($candidate[1] <= $best[1]) {
                [$best, $loose] = [$candidate, $fewer];
            }
        }

        return $loose;
    }

    /**
     * @param  list<int>  $order
     * @param  array<int, true>  $loose
     */
    private function drawn(array $order, array $loose, FreeTime $free): Draft
    {
        [$table] = $this->lay($order, $loose);
        $draft = new Draft($this->of->problem, $free);
        foreach ($table->kept() as $task => $blocks) {
            foreach ($blocks as [$start, $end]) {
                $draft->reserve($this->of->problem->tasks[$task], new Interval($start, $end));
            }
        }
        foreach ($order as $task) {
            $draft->place($this->of->problem->tasks[$task]);
        }
        $draft->layRests();

        return $draft;
    }

    /**
     * @param  list<int>  $order
     * @param  array<int, true>  $loose  tasks that give up their places
     * @return array{Timetable, int} and its cost with what has moved
     */
    private function lay(array $order, array $loose): array
    {
        do {
            [$table, $moved] = $this->kept($order, $loose);
            $tooEarly = $this->place($order, $table, $loose);
            $loose += $tooEarly === null ? [] : [$tooEarly => true];
        } while ($tooEarly !== null);

        return [$table, $this->damage($table) + self::MOVED * $moved];
    }

    /**
     * @param  list<int>  $order
     * @param  array<int, true>  $loose
     * @return array{Timetable, int} with what is kept and nothing else, and the minutes that are not kept
     */
    private function kept(array $order, array $loose): array
    {
        $table = new Timetable($this->of);
        $moved = 0;
        foreach ($order as $task) {
            if (isset($this->before[$task]) && ! isset($loose[$task])) {
                $this->keep($task, $table);
            }
            foreach ($this->before[$task] ?? [] as [$start, $end]) {
                $moved += $end - $start;
            }
            $moved -= $table->keptMinutes($task);
        }

        return [$table, $moved];
    }

    /**
     * Places all tasks, unless one would begin before what it comes after: that must move as well, and is returned.
     *
     * @param  list<int>  $order
     * @param  array<int, true>  $loose
     */
    private function place(array $order, Timetable $table, array $loose): ?int
    {
        foreach ($order as $task) {
            $first = $this->of->after[$task] === [] ? null : $table->firstKept($task);
            foreach ($first === null ? [] : $this->of->after[$task] as $before) {
                if ($table->finish[$before] < 0 || $table->finish[$before] > $first) {
                    return $task;
                }
            }
            $table->place($task);
        }

        return null;
    }

    /** The cost of a timetable, where no task counts less than in the last plan. */
    private function damage(Timetable $table): int
    {
        $damage = 0;
        foreach (array_keys($this->of->ids) as $task) {
            $damage += max($this->costIn($table, $task), $this->content[$task] ?? 0);
        }

        return $damage;
    }

    private function costIn(Timetable $table, int $task): int
    {
        $finish = $table->finish[$task];

        return $this->of->cost($task, $finish >= 0 ? $finish : $this->of->problem->end + $this->of->minutes[$task]);
    }

    /**
     * Keeps the blocks of the last plan that a task may keep: those still free, long enough, and no more than it needs,
     * with a rest that can be laid in blocks of its own.
     */
    private function keep(int $task, Timetable $table): void
    {
        $of = $this->of;
        $left = $of->minutes[$task];
        $fixed = $of->apart[$task];
        foreach ($this->before[$task] as [$start, $end]) {
            $length = $end - $start;
            $rest = $left - $length;
            if ($length < $of->least[$task] || $length > $of->most[$task] || $start < $of->release[$task]
                || ($rest !== 0 && $rest < $of->least[$task]) || self::touches($fixed, $start, $end)
                || ! $table->accepts($task, $start, $end)) {
                continue;
            }
            $table->keep($task, $start, $end);
            $fixed[] = [$start, $end];
            $left = $rest;
        }
    }

    /** @param  list<array{int, int}>  $others */
    private static function touches(array $others, int $start, int $end): bool
    {
        foreach ($others as [$otherStart, $otherEnd]) {
            if ($start <= $otherEnd && $otherStart <= $end) {
                return true;
            }
        }

        return false;
    }

    /**
     * Kept tasks that lie before one finishes that is late and fares worse than it did, the cheapest to move first.
     *
     * @param  list<int>  $order
     * @param  array<int, true>  $loose
     * @return list<int>
     */
    private function worthLoosening(array $order, Timetable $table, array $loose): array
    {
        $until = 0;
        foreach ($order as $task) {
            $finish = $table->finish[$task] >= 0 ? $table->finish[$task] : $this->of->problem->end;
            if ($finish > $this->of->due[$task] && $this->costIn($table, $task) > ($this->content[$task] ?? 0)) {
                $until = max($until, $finish);
            }
        }
        $tasks = [];
        foreach (array_reverse($order) as $task) {
            $first = $table->firstKept($task);
            if ($first !== null && $first < $until && ! isset($loose[$task])) {
                $tasks[] = $task;
            }
        }

        return $tasks;
    }
}
