<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Order;

use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\Timetable;

/**
 * An order of tasks with where each is laid: one timetable before each place and after the last, so that a change is
 * followed from the first place that differs, and only until the rest is laid as before.
 */
final class Sequence
{
    /** @var list<int> */
    public array $order = [];

    /** @var array<int, int> place of each task */
    public array $place = [];

    /** @var array<int, int> when each task is finished; for one that finds no place, after the horizon by its minutes */
    public array $ends = [];

    /** @var array<int, Timetable> before each place, and after the last */
    private array $tables = [];

    /** @var array<int, int> what the tasks before each place cost together */
    private array $costs = [];

    /** @var array<int, int> what the tasks from each place on cost at the very least */
    private array $least = [];

    /** @var array<int, int> what each task costs if it has all time for itself */
    private array $alone = [];

    /** @param  list<int>  $order  predecessors first */
    public function __construct(private readonly Compiled $of, Timetable $base, array $order)
    {
        $this->tables[0] = $base;
        $this->costs[0] = $base->cost;
        foreach ($order as $task) {
            $this->alone[$task] = $of->alone($task);
        }
        $this->change($order, 0, count($order) - 1, PHP_INT_MAX);
    }

    /**
     * What an order costs, in twentieths of a minute, for whoever wants to know no more than that.
     *
     * @param  list<int>  $order  predecessors first
     */
    public static function costOf(Timetable $base, array $order): int
    {
        $table = clone $base;
        foreach ($order as $task) {
            $table->placeWhole($task);
        }

        return $table->cost;
    }

    /** In twentieths of a minute. */
    public function cost(): int
    {
        return $this->costs[count($this->order)];
    }

    /** What a task costs beyond what it would cost alone. */
    public function excess(int $task): int
    {
        return $this->of->cost($task, $this->ends[$task]) - $this->alone[$task];
    }

    /**
     * Takes another order if it costs less than $limit; else nothing changes.
     *
     * @param  list<int>  $order  differs from the present one from $first to $last
     * @param  int  $patience  so many places after the last change it must be ahead of the present order, or it is
     *                         given up: the rest rarely makes up for it
     */
    public function change(array $order, int $first, int $last, int $limit, int $patience = PHP_INT_MAX): bool
    {
        $tables = $this->tables;
        $costs = $this->costs;
        $table = $tables[$first];
        $cost = $costs[$first];
        $count = count($order);
        $new = $sums = [];
        for ($i = $first; $i < $count; $i++) {
            if ($i > $last) {
                $ahead = $costs[$i] - $cost;
                if ($cost + $this->least[$i] >= $limit || ($ahead <= 0 && $i - $last > $patience)) {
                    return false;
                }
                if ($table->isLike($tables[$i]) && $this->leadsAlike($table, $order, $first, $i)) {
                    if ($this->cost() - $ahead >= $limit) {
                        return false;
                    }
                    break;
                }
            }
            $table = clone $table;
            $table->cost = 0;
            $table->placeWhole($order[$i]);
            $cost += $table->cost;
            $new[] = $table;
            $sums[] = $cost;
        }
        if ($i === $count && $cost >= $limit) {
            return false;
        }
        $this->adopt($order, $first, $new, $sums);

        return true;
    }

    /**
     * @param  list<int>  $order
     * @param  list<Timetable>  $new  after each changed place
     * @param  list<int>  $sums  what all tasks up to there cost
     */
    private function adopt(array $order, int $first, array $new, array $sums): void
    {
        $count = count($order);
        $until = $first + count($new);
        $saved = $new !== [] && $until < $count ? $this->costs[$until] - $sums[count($sums) - 1] : 0;
        foreach ($new as $n => $table) {
            $i = $first + $n;
            $task = $order[$i];
            $this->place[$task] = $i;
            $this->tables[$i + 1] = $table;
            $this->costs[$i + 1] = $sums[$n];
            $this->ends[$task] = $table->last >= 0 ? $table->last : $this->of->problem->end + $this->of->minutes[$task];
        }
        for ($i = $until + 1; $i <= $count && $saved !== 0; $i++) {
            $this->costs[$i] -= $saved;
        }
        $this->order = $order;
        $this->least[$count] = 0;
        for ($i = $until - 1; $i >= $first; $i--) {
            $this->least[$i] = $this->least[$i + 1] + $this->alone[$order[$i]];
        }
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
            if ($this->of->successors[$task] !== [] && $table->finish[$task] !== $now[$task]) {
                return false;
            }
        }

        return true;
    }
}
