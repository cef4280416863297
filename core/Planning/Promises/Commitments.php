<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Promises;

use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\Keeping;
use Nekto\Core\Planning\Layout\Timetable;
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
        foreach ($this->of->previousBlocks as $task => $blocks) {
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
     * Day by day: of a long task its share, of the others all. Where the shares do not all fit, half of each comes first,
     * so that a long task leaves time to the others. Whether they fit is found out without regard to the last plan: the
     * same day gets the same answer again.
     *
     * @param  list<int>  $order
     */
    private function layPicks(array $order): void
    {
        $tasks = $this->of->problem->tasks;
        foreach ($this->byDay($order) as $number => $picks) {
            usort($picks, static fn (int $a, int $b): int => ! $tasks[$a]->key <=> ! $tasks[$b]->key);
            $day = $this->of->problem->zone->day(new LocalDay($number));
            $shares = $halves = [];
            foreach ($picks as $task) {
                $share = $tasks[$task]->pickMinutes;
                if ($share !== null && $share < $tasks[$task]->minutes && $this->of->predecessors[$task] === []) {
                    $shares[$task] = $share;
                    $halves[$task] = max($tasks[$task]->minChunk, intdiv($share, 2));
                }
            }
            $before = clone $this->table;
            $missing = $this->layAll($picks, $day, $shares);
            if ($shares !== [] && array_filter($missing, static fn (?int $minutes): bool => $minutes !== 0) !== []) {
                $this->table = clone $before;
                $this->layAll($picks, $day, $halves);
                $missing = $this->layAll($picks, $day, $shares);
            } else {
                $halves = $shares;
            }
            $found = array_map($this->table->keptMinutes(...), array_combine($picks, $picks));
            $this->table = $before;
            $picks = array_values(array_filter($picks, static fn (int $task): bool => $missing[$task] !== null || isset($shares[$task])));
            foreach ($picks as $task) {
                $this->keepOn($task, $day, $found[$task]);
            }
            $this->layAll($picks, $day, $halves);
            $this->layAll($picks, $day, $shares);
        }
    }

    /**
     * Picks by the number of their day. Where something is picked for today, what is due today is as good as picked:
     * there is no other day for it.
     *
     * @param  list<int>  $order
     * @return array<int, list<int>>
     */
    private function byDay(array $order): array
    {
        $problem = $this->of->problem;
        $today = $problem->zone->dayOf($problem->now);
        $end = $problem->zone->day($today)->end;
        $days = [];
        $isPicked = false;
        foreach ($order as $task) {
            $pick = $problem->tasks[$task]->pick;
            $due = $problem->tasks[$task]->due?->at;
            $isPicked = $isPicked || $pick === $today->number;
            if ($pick !== null) {
                $days[$pick][] = $task;
            } elseif ($due !== null && $due > $problem->now && $due <= $end) {
                $days[$today->number][] = $task;
            }
        }
        if (! $isPicked) {
            unset($days[$today->number]);
        }
        ksort($days);

        return $days;
    }

    /**
     * @param  list<int>  $picks
     * @param  array<int, int>  $shares  minutes that are enough; of the others all
     * @return array<int, int|null> by task: minutes of that which found no place on that day, null if none did
     */
    private function layAll(array $picks, Interval $day, array $shares): array
    {
        $all = [];
        foreach ($picks as $task) {
            $before = clone $this->table;
            $all[$task] = $this->layWithPredecessors($task, $day, $shares[$task] ?? null);
            if ($all[$task] === null) {
                $this->table = $before;
            }
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
        foreach ($this->of->predecessors[$task] as $before) {
            if ($day->end <= $this->of->problem->now || $this->layWithPredecessors($before, new Interval($this->of->problem->now, $day->end)) !== 0) {
                return null;
            }
        }
        if ($share !== null) {
            return $this->table->placeShareWithin($task, $share, $day->start, $day->end);
        }

        return $this->table->placeWithin($task, $day->start, $day->end) ? 0 : null;
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
            if ($this->table->placeWithin($task, $day->start, $day->end)) {
                return $number;
            }
        }

        return null;
    }

    /**
     * Keeps what the last plan has of a task on a day, if nothing else must be finished first.
     *
     * @param  int  $most  minutes: nothing more is kept once there are so many
     */
    private function keepOn(int $task, Interval $day, int $most = PHP_INT_MAX): void
    {
        foreach ($this->of->predecessors[$task] === [] ? $this->of->previousBlocks[$task] ?? [] : [] as [$start, $end]) {
            if ($this->table->keptMinutes($task) < $most && $start >= $day->start && $end <= $day->end && $start >= $this->of->release[$task]) {
                $this->keep($task, $start, $end);
            }
        }
    }

    private function keep(int $task, int $start, int $end): void
    {
        if (Keeping::leavesWhole($this->of, $this->table, $task, $start, $end)) {
            $this->table->keep($task, $start, $end);
        }
    }
}
