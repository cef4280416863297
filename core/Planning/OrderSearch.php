<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

/**
 * Improves an order of tasks by moving one task at a time to another place (insertion moves, first improvement), then
 * by small disturbances that are kept if the repaired order is better (iterated local search; H. R. Lourenço,
 * O. C. Martin, T. Stützle, "Iterated local search", Handbook of Metaheuristics, 2003). A move is evaluated from the
 * first place it changes, and only until the rest is laid as before or cannot become better any more. The same order
 * and budget always give the same result: chance comes from a fixed sequence.
 */
final class OrderSearch
{
    /** Distances that are tried, to both sides. */
    private const DISTANCES = [1, 2, 3, 4, 6, 8, 11, 15, 20, 27, 36, 48];

    /** Of the moves of a task that promise something, so many are evaluated. */
    private const PROMISING = 6;

    /** So many places after its last change a move must be ahead, or it is given up: the rest rarely makes up for it. */
    private const PATIENCE = 8;

    /** Disturbances move this many tasks, at most this far. */
    private const DISTURBED = 3;

    private const REACH = 12;

    /** @var list<int> */
    private array $order = [];

    /** @var array<int, int> place of each task */
    private array $place = [];

    /** @var array<int, Timetable> before each place, and after the last */
    private array $tables = [];

    /** @var array<int, int> what the tasks from each place on cost at the very least */
    private array $least = [];

    /** @var array<int, int> what each task costs if it has all time for itself */
    private array $alone = [];

    private int $left = 0;

    private int $chance = 20260311;

    /** @param  Timetable|null  $base  with blocks that are kept; null if all time is free */
    public function __construct(private readonly Compiled $of, ?Timetable $base = null)
    {
        $this->tables[0] = $base ?? new Timetable($of);
        foreach (array_keys($of->ids) as $task) {
            $this->alone[$task] = $of->cost($task, max($of->release[$task], $of->problem->now) + $of->minutes[$task]);
        }
    }

    /**
     * @param  list<int>  $order  predecessors first
     * @param  int  $moves  that may be evaluated
     * @return list<int>
     */
    public function improve(array $order, int $moves): array
    {
        $this->left = $moves;
        $this->adopt($order, 0);
        if (count($order) < 2) {
            return $order;
        }
        $this->descend($this->byCost());
        [$best, $cost] = [$this->order, $this->cost()];
        while ($this->left > 0) {
            $touched = $this->disturb();
            $this->descend($touched);
            if ($this->cost() < $cost) {
                [$best, $cost] = [$this->order, $this->cost()];
            } elseif ($this->cost() > $cost) {
                $this->adopt($best, $this->firstDifference($best));
            }
        }

        return $best;
    }

    /** Of the order as it stands, in twentieths of a minute. */
    private function cost(): int
    {
        return $this->tables[count($this->order)]->cost;
    }

    /** @param  list<int>  $waiting  tasks whose moves are to be tried; those that a taken move touches are tried again */
    private function descend(array $waiting): void
    {
        $queued = array_fill_keys($waiting, true);
        for ($next = 0; isset($waiting[$next]) && $this->left > 0; $next++) {
            $task = $waiting[$next];
            unset($queued[$task]);
            $range = $this->tryTask($task);
            if ($range === null) {
                continue;
            }
            for ($i = max(0, $range[0] - 1); $i <= min($range[1] + 1, count($this->order) - 1); $i++) {
                $other = $this->order[$i];
                if (! isset($queued[$other])) {
                    $queued[$other] = true;
                    $waiting[] = $other;
                }
            }
        }
    }

    /**
     * Takes the first move of a task that makes the order better.
     *
     * @return array{int, int}|null the first and last place that changed
     */
    private function tryTask(int $task): ?array
    {
        $at = $this->place[$task];
        foreach ($this->promising($at) as $to) {
            if ($this->left-- <= 0) {
                return null;
            }
            $order = $this->moved($at, $to);
            $range = $at < $to ? [$at, $to] : [$to, $at];
            $alike = $this->betterUntil($order, ...$range);
            if ($alike !== null) {
                $this->adopt($order, $range[0], $alike);

                return $range;
            }
        }

        return null;
    }

    /** @return list<int> places to which the task at one place might go with a gain, the greatest promise first */
    private function promising(int $at): array
    {
        $last = count($this->order) - 1;
        $promise = [];
        foreach (self::DISTANCES as $distance) {
            foreach ([$at - $distance, $at + $distance] as $to) {
                if ($to >= 0 && $to <= $last && ($gain = $this->promise($at, $to)) > 0) {
                    $promise[$to] = $gain;
                }
            }
        }
        arsort($promise);

        return array_slice(array_keys($promise), 0, self::PROMISING);
    }

    /**
     * What a move would gain if time were even: the task ends where the other ends now, and what lies between moves by
     * its minutes, stretched as time is there.
     */
    private function promise(int $at, int $to): float
    {
        $of = $this->of;
        $finish = $this->tables[count($this->order)]->finish;
        $task = $this->order[$at];
        $end = $of->problem->end;
        $from = $finish[$task] >= 0 ? $finish[$task] : $end;
        $other = $this->order[$to];
        $goal = $finish[$other] >= 0 ? $finish[$other] : $end;
        [$first, $after] = $at < $to ? [$at + 1, $to + 1] : [$to, $at];
        $work = 1;
        for ($i = $first; $i < $after; $i++) {
            $work += $of->minutes[$this->order[$i]];
        }
        $shift = (int) ($of->minutes[$task] * min(12.0, max(1.0, abs($from - $goal) / $work)));
        $shift = $at < $to ? -$shift : $shift;
        $set = $of->set[$task];
        $gain = $of->cost($task, $from) - $of->cost($task, $goal);
        for ($i = $first; $i < $after; $i++) {
            $moving = $this->order[$i];
            $is = $finish[$moving];
            if ($is >= 0 && ($of->set[$moving] === $set || in_array($of->set[$moving], $of->shares[$set], true))) {
                $gain += $of->cost($moving, $is) - $of->cost($moving, $is + $shift);
            }
        }

        return $gain;
    }

    /**
     * Whether an order is better than the present one: null if not, else the place from which all is laid as before
     * (the number of tasks if there is none).
     *
     * @param  list<int>  $order  differs from the present one from $first to $last
     */
    private function betterUntil(array $order, int $first, int $last): ?int
    {
        $limit = $this->cost();
        $table = clone $this->tables[$first];
        for ($i = $first; $i <= $last; $i++) {
            $table->place($order[$i]);
        }
        $count = count($order);
        for ($i = $last + 1; $i < $count; $i++) {
            $ahead = $this->tables[$i]->cost - $table->cost;
            if ($table->cost + $this->least[$i] >= $limit || ($ahead <= 0 && $i > $last + self::PATIENCE)) {
                return null;
            }
            if ($table->isLike($this->tables[$i]) && $this->leadsAlike($table, $order, $first, $i)) {
                return $ahead > 0 ? $i : null;
            }
            $table->place($order[$i]);
        }

        return $table->cost < $limit ? $count : null;
    }

    /**
     * True if every changed task that others come after is finished when it was.
     *
     * @param  list<int>  $order
     */
    private function leadsAlike(Timetable $table, array $order, int $first, int $until): bool
    {
        $now = $this->tables[$until]->finish;
        for ($i = $first; $i < $until; $i++) {
            $task = $order[$i];
            if ($this->of->followers[$task] !== [] && $table->finish[$task] !== $now[$task]) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<int>  $order  the same as the present one before $from
     * @param  int|null  $alike  the place from which it is also laid as before; null if that is not known
     */
    private function adopt(array $order, int $from, ?int $alike = null): void
    {
        $count = count($order);
        $until = $alike ?? $count;
        $this->order = $order;
        $before = isset($this->tables[$until]) ? $this->tables[$until]->cost : 0;
        for ($i = $from; $i < $until; $i++) {
            $this->place[$order[$i]] = $i;
            $table = clone $this->tables[$i];
            $table->place($order[$i]);
            $this->tables[$i + 1] = $table;
        }
        $saved = $before - $this->tables[$until]->cost;
        for ($i = $until + 1; $i <= $count && $saved !== 0; $i++) {
            $this->tables[$i]->cost -= $saved;
        }
        $this->least[$count] = 0;
        for ($i = $until - 1; $i >= $from; $i--) {
            $this->least[$i] = $this->least[$i + 1] + $this->alone[$order[$i]];
        }
    }

    /**
     * The present order with the task at one place taken to another; what must come before it, or wait for it, and lies
     * in between goes along.
     *
     * @return list<int>
     */
    private function moved(int $at, int $to): array
    {
        $order = $this->order;
        $task = $order[$at];
        [$first, $last] = $at < $to ? [$at, $to] : [$to, $at];
        $along = $at < $to ? $this->of->allAfter[$task] : $this->of->allBefore[$task];
        $company = $others = [];
        for ($i = $first; $i <= $last; $i++) {
            if ($i === $at || isset($along[$order[$i]])) {
                $company[] = $order[$i];
            } else {
                $others[] = $order[$i];
            }
        }
        foreach ($at < $to ? [...$others, ...$company] : [...$company, ...$others] as $i => $other) {
            $order[$first + $i] = $other;
        }

        return array_values($order);
    }

    /** @return list<int> the tasks that were moved, and their new neighbours */
    private function disturb(): array
    {
        $count = count($this->order);
        $middle = $this->roll($count);
        $order = $this->order;
        $from = $count;
        $touched = [];
        for ($i = 0; $i < self::DISTURBED; $i++) {
            $at = max(0, min($count - 1, $middle + $this->roll(2 * self::REACH) - self::REACH));
            $to = max(0, min($count - 1, $at + $this->roll(2 * self::REACH) - self::REACH));
            $task = $order[$at];
            array_splice($order, $at, 1);
            array_splice($order, $to, 0, [$task]);
            $touched[] = $task;
            $from = min($from, $at, $to);
        }
        if (! $this->isSorted($order)) {
            return [];
        }
        $this->adopt($order, $from);
        foreach ($touched as $task) {
            $touched[] = $order[max(0, $this->place[$task] - 1)];
            $touched[] = $order[min($count - 1, $this->place[$task] + 1)];
        }
        $this->left--;

        return array_values(array_unique($touched));
    }

    /** @param  list<int>  $order */
    private function isSorted(array $order): bool
    {
        $place = array_flip($order);
        foreach ($order as $at => $task) {
            foreach ($this->of->after[$task] as $before) {
                if ($place[$before] > $at) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @param  list<int>  $order */
    private function firstDifference(array $order): int
    {
        foreach ($order as $i => $task) {
            if ($task !== $this->order[$i]) {
                return $i;
            }
        }

        return count($order);
    }

    /** @return list<int> tasks, the dearest first: what is late stands to gain most */
    private function byCost(): array
    {
        $gain = [];
        foreach ($this->order as $i => $task) {
            $gain[$task] = $this->tables[$i + 1]->cost - $this->tables[$i]->cost - $this->alone[$task];
        }
        arsort($gain);

        return array_keys($gain);
    }

    /** A number from 0 to $below − 1 of a fixed sequence (a linear congruential generator). */
    private function roll(int $below): int
    {
        $this->chance = ($this->chance * 1_103_515_245 + 12_345) & 0x7FFF_FFFF;

        return ($this->chance >> 8) % $below;
    }
}
