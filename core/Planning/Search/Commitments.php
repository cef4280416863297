<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Search;

use Nekto\Core\Time\Interval;
use Nekto\Core\Time\LocalDay;

/**
 * What is laid before anything is weighed against anything: the last plan as far as it is frozen, tasks that were picked
 * for a day (key tasks first), and habits, each on a day of its own.
 */
final class Commitments
{
    public Timetable $table;

    /** @var list<int> habits that found no day */
    public array $without = [];

    /**
     * @param  list<int>  $order  by urgency
     * @param  array<string, HabitTime>  $habits  by task id
     */
    public function __construct(private readonly Compiled $of, array $order, private readonly array $habits)
    {
        $this->table = new Timetable($of);
        if ($of->problem->freeze > 0) {
            $this->keepFrozen();
        }
        $this->layPicks($order);
        $this->layHabits();
    }

    private function keepFrozen(): void
    {
        $frozen = [];
        foreach ($this->of->before as $task => $blocks) {
            foreach ($blocks as [$start, $end]) {
                if ($start < $this->of->problem->frozenUntil && $start >= ($this->of->problem->tasks[$task]->notBefore ?? 0)) {
                    $frozen[] = [$start, $end, $task];
                }
            }
        }
        sort($frozen);
        foreach ($frozen as [$start, $end, $task]) {
            if ($this->table->mayBegin($task, $start)) {
                $this->keep($task, $start, $end);
            }
        }
    }

    /**
     * Day by day: all picks whole if they fit; else of each its share, and then whole what still can be; else half of
     * each share, so that a long task leaves time to the others, and then as much as fits.
     *
     * @param  list<int>  $order
     */
    private function layPicks(array $order): void
    {
        $tasks = $this->of->problem->tasks;
        $days = [];
        foreach ($order as $task) {
            $tasks[$task]->pick === null || $days[$tasks[$task]->pick][] = $task;
        }
        ksort($days);
        foreach ($days as $number => $picks) {
            usort($picks, static fn (int $a, int $b): int => ! $tasks[$a]->key <=> ! $tasks[$b]->key);
            $day = $this->of->problem->zone->day(new LocalDay($number));
            $shares = $halves = [];
            foreach ($picks as $task) {
                $share = $tasks[$task]->pickMinutes;
                if ($share !== null) {
                    $shares[$task] = $share;
                    $halves[$task] = $share < $tasks[$task]->minutes ? max($tasks[$task]->minChunk, intdiv($share, 2)) : $share;
                }
            }
            $before = clone $this->table;
            if ($this->layAll($picks, $day, []) || $shares === []) {
                continue;
            }
            $this->table = clone $before;
            if (! $this->layAll($picks, $day, $shares)) {
                $this->table = $before;
                $this->layAll($picks, $day, $halves);
                $this->layAll($picks, $day, $shares);
            }
            $this->layAll($picks, $day, []);
        }
    }

    /**
     * @param  list<int>  $picks
     * @param  array<int, int>  $shares  minutes that are enough; of the others all
     * @return bool true if of every one of them that much is on that day
     */
    private function layAll(array $picks, Interval $day, array $shares): bool
    {
        if ($shares !== []) { // where only parts are laid, none takes the place that another has
            foreach ($picks as $task) {
                $this->keepOn($task, $day);
            }
        }
        $all = true;
        foreach ($picks as $task) {
            $this->keepOn($task, $day);
            $before = clone $this->table;
            $missing = $this->layWithPredecessors($task, $day, $shares[$task] ?? null);
            if ($missing === null) {
                $this->table = $before;
            }
            $all = $all && $missing === 0;
        }

        return $all;
    }

    /**
     * Lays a task on a day, and before that what must be finished first.
     *
     * @param  int|null  $share  minutes that are enough; null: all or nothing
     * @return int|null minutes of that which found no place; null if none did
     */
    private function layWithPredecessors(int $task, Interval $day, ?int $share = null): ?int
    {
        foreach ($this->of->after[$task] as $before) {
            if ($day->end <= $this->of->problem->now || $this->layWithPredecessors($before, new Interval($this->of->problem->now, $day->end)) !== 0) {
                return null;
            }
        }
        if ($share !== null) {
            return $this->table->layShare($task, $share, $day->start, $day->end);
        }

        return $this->table->lay($task, $day->start, $day->end) ? 0 : null;
    }

    /** First those that may stay where the last plan has them, so that no other takes their day. */
    private function layHabits(): void
    {
        $used = $open = [];
        foreach ($this->habits as $id => $time) {
            $day = $this->keptDay($this->of->index[$id], $time, $used[$time->habit] ?? []);
            if ($day === null) {
                $open[$id] = $time;
            } else {
                $used[$time->habit][$day] = true;
            }
        }
        foreach ($open as $id => $time) {
            $task = $this->of->index[$id];
            $days = array_values(array_filter($time->days, static fn (int $day): bool => ! isset($used[$time->habit][$day])));
            $day = $this->firstDay($task, $time->sorted($days));
            if ($day === null) {
                $this->without[] = $task;
            } else {
                $used[$time->habit][$day] = true;
            }
        }
    }

    /**
     * The day on which a habit may stay as the last plan has it; null if there is none.
     *
     * @param  array<int, true>  $used
     */
    private function keptDay(int $task, HabitTime $time, array $used): ?int
    {
        foreach (array_filter($time->days, static fn (int $day): bool => ! isset($used[$day])) as $day) {
            $this->keepOn($task, $this->of->problem->zone->day(new LocalDay($day)));
        }
        $start = $this->table->firstKept($task);

        return $start === null ? null : $this->of->problem->zone->dayOf($start)->number;
    }

    /** @param  list<int>  $days */
    private function firstDay(int $task, array $days): ?int
    {
        foreach ($days as $number) {
            $day = $this->of->problem->zone->day(new LocalDay($number));
            if ($this->table->lay($task, $day->start, $day->end)) {
                return $number;
            }
        }

        return null;
    }

    /** Keeps what the last plan has of a task on a day, if nothing else must be finished first. */
    private function keepOn(int $task, Interval $day): void
    {
        foreach ($this->of->after[$task] === [] ? $this->of->before[$task] ?? [] : [] as [$start, $end]) {
            if ($start >= $day->start && $end <= $day->end && $start >= $this->of->release[$task]) {
                $this->keep($task, $start, $end);
            }
        }
    }

    private function keep(int $task, int $start, int $end): void
    {
        $rest = $this->of->minutes[$task] - $this->table->keptMinutes($task) - ($end - $start);
        if (Keeping::allows($this->of, $this->table, $task, $start, $end, $rest)) {
            $this->table->keep($task, $start, $end);
        }
    }
}
