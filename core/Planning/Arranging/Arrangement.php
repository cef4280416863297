<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Arranging;

use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\DayBegins;
use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\FreeTime;
use Nekto\Core\Planning\Layout\Timetable;
use Nekto\Core\Planning\Order\UrgencyOrder;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\LocalDay;

/**
 * Lays the work of a day in the order in which the person likes to do it. Each task keeps its minutes of that day; nothing
 * gets later than it is due (what is late on that day already: than it was), nothing is cut into more pieces, the day begins no later
 * and ends no later, and fixed blocks and habits stay. A day whose work does not go in that order begins so at least; else
 * it stays as it is.
 */
final readonly class Arrangement
{
    /** Minutes of light work that is short enough to begin a day with. */
    private const SHORT = 30;

    private Compiled $of;

    /** @var array<int, array{int, int}> what pulls most first, of equals the most urgent; by task */
    private array $rank;

    /**
     * @param  list<int>  $order  tasks by urgency
     * @param  array<string, mixed>  $stay  by id of the tasks that stay where they are
     */
    public function __construct(Compiled $of, FreeTime $free, array $order, private array $stay)
    {
        $problem = $of->problem; // a day keeps its minutes of each kind, so that no limit is asked
        $this->of = new Compiled($problem->with(dayLimit: new DayLimit, hoursLimits: [], deepLimit: new DayLimit), $free);
        $places = array_flip($order);
        $this->rank = array_map(static fn (string $id, int $task): array => [-($problem->pulls[$id] ?? 0), $places[$task] ?? PHP_INT_MAX], $this->of->ids, array_keys($this->of->ids));
    }

    /** @param  list<LocalDay>  $days */
    public function of(Plan $plan, array $days): Plan
    {
        $blocks = $plan->blocks;
        foreach ($days as $day) {
            $blocks = $this->arranged($blocks, $day);
        }
        usort($blocks, static fn (Block $a, Block $b): int => $a->time->start <=> $b->time->start);

        return new Plan($blocks, $plan->unplaced);
    }

    /**
     * @param  list<Block>  $blocks
     * @return list<Block>
     */
    private function arranged(array $blocks, LocalDay $day): array
    {
        $span = $this->of->problem->zone->day($day);
        $moves = fn (Block $block): bool => ! $block->anchored && ! isset($this->stay[$block->task]) && $block->time->start >= max($span->start, $this->of->problem->frozenUntil) && $block->time->start < $span->end;
        $there = array_values(array_filter($blocks, $moves));
        $minutes = $first = [];
        foreach ($there as $block) {
            $task = $this->of->index[$block->task];
            $minutes[$task] = ($minutes[$task] ?? 0) + $block->time->length();
            $first[$task] = min($first[$task] ?? PHP_INT_MAX, $block->time->start);
        }
        if (count($minutes) < 2) {
            return $blocks;
        }
        $others = array_values(array_filter($blocks, static fn (Block $block): bool => ! $moves($block)));
        $table = new Timetable($this->of);
        foreach ($others as $block) {
            $block->anchored || $table->keep($this->of->index[$block->task], $block->time->start, $block->time->end);
        }
        foreach ($this->orders($minutes, $first, $day) as $order) {
            $laid = $this->laid(clone $table, $order, $minutes, $this->untils($blocks, $minutes, $span), $span);
            if ($laid !== null && count($laid) <= count($there) && self::isWithin($laid, $there)) {
                return [...$others, ...$laid];
            }
        }

        return $blocks;
    }

    /**
     * @param  list<Block>  $blocks
     * @param  list<Block>  $others
     */
    private static function isWithin(array $blocks, array $others): bool
    {
        [$start, $end] = self::span($blocks);
        [$first, $last] = self::span($others);

        return $start <= $first && $end <= $last;
    }

    /**
     * @param  list<Block>  $blocks
     * @return array{int, int} when the first begins and the last ends
     */
    private static function span(array $blocks): array
    {
        $start = PHP_INT_MAX;
        $end = 0;
        foreach ($blocks as $block) {
            $start = min($start, $block->time->start);
            $end = max($end, $block->time->end);
        }

        return [$start, $end];
    }

    /**
     * As the person likes it; then only those so that come first by the person's wish, and fewer and fewer of them: the
     * others as they lie, or the longest first, which fill gaps best.
     *
     * @param  array<int, int>  $minutes  by task
     * @param  array<int, int>  $first  when each begins as it lies
     * @return list<list<int>>
     */
    private function orders(array $minutes, array $first, LocalDay $day): array
    {
        $problem = $this->of->problem;
        $begins = $problem->hasBegun($day) ? DayBegins::Pull : $problem->begins;
        $opener = $begins === DayBegins::Light ? $this->opener($minutes) : null;
        $wish = fn (int $task): array => [
            $task !== $opener, $begins === DayBegins::Hard && ! $this->of->deep[$task],
            ! ($problem->tasks[$task]->key && $problem->tasks[$task]->pick === $day->number), $problem->tasks[$task]->pick !== $day->number,
        ];
        $tasks = array_keys($minutes);
        usort($tasks, fn (int $a, int $b): int => [...$wish($a), $this->rank[$a], $a] <=> [...$wish($b), $this->rank[$b], $b]);
        $leading = count(array_filter($tasks, static fn (int $task): bool => array_slice($wish($task), 0, 3) < [true, $begins === DayBegins::Hard, true]));
        $orders = [$tasks];
        for ($n = max(1, $leading); $n > 0; $n--) {
            $others = array_slice($tasks, $n);
            usort($others, static fn (int $a, int $b): int => $first[$a] <=> $first[$b]);
            $orders[] = [...array_slice($tasks, 0, $n), ...$others];
            usort($others, static fn (int $a, int $b): int => [-$minutes[$a], $first[$a]] <=> [-$minutes[$b], $first[$b]]);
            $orders[] = [...array_slice($tasks, 0, $n), ...$others];
        }

        return array_map($this->afterPredecessors(...), $orders);
    }

    /**
     * Of the tasks that are light and short the one that pulls most.
     *
     * @param  array<int, int>  $minutes  by task
     */
    private function opener(array $minutes): ?int
    {
        $found = null;
        foreach ($minutes as $task => $some) {
            if ($this->of->problem->tasks[$task]->demand === Demand::Light && $some <= self::SHORT && $this->of->predecessors[$task] === []
                && ($found === null || $this->rank[$task] < $this->rank[$found])) {
                $found = $task;
            }
        }

        return $found;
    }

    /**
     * @param  list<int>  $tasks
     * @return list<int> each after those of them that it comes after
     */
    private function afterPredecessors(array $tasks): array
    {
        $order = (new UrgencyOrder($this->of))->asGiven(array_map(fn (int $task): string => $this->of->ids[$task], $tasks));

        return array_values(array_intersect($order, $tasks));
    }

    /**
     * Until when each task may lie on that day.
     *
     * @param  list<Block>  $blocks
     * @param  array<int, int>  $minutes  by task
     * @return array<int, int>
     */
    private function untils(array $blocks, array $minutes, Interval $day): array
    {
        $ends = $starts = [];
        foreach ($blocks as $block) {
            $task = $this->of->index[$block->task];
            $ends[$task] = max($ends[$task] ?? 0, $block->time->end);
            isset($minutes[$task]) || $starts[$task] = min($starts[$task] ?? PHP_INT_MAX, $block->time->start);
        }
        $untils = [];
        foreach (array_keys($minutes) as $task) {
            $until = $this->of->due[$task] <= $day->start ? $day->end : min($day->end, max($this->of->due[$task], $ends[$task]));
            foreach ($this->of->successors[$task] as $next) {
                $until = min($until, $starts[$next] ?? PHP_INT_MAX);
            }
            $untils[$task] = $until;
        }

        return $untils;
    }

    /**
     * @param  list<int>  $order
     * @param  array<int, int>  $minutes  by task
     * @param  array<int, int>  $untils  by task
     * @return list<Block>|null null if it does not go
     */
    private function laid(Timetable $table, array $order, array $minutes, array $untils, Interval $day): ?array
    {
        $laid = [];
        foreach ($order as $task) {
            if (! $table->placePart($task, $minutes[$task], $day->start, $untils[$task])) {
                return null;
            }
            foreach ($table->laid as [$start, $end]) {
                $laid[] = new Block($this->of->ids[$task], new Interval($start, $end));
            }
        }

        return $laid;
    }
}
