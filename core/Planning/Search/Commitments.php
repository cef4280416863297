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

    /** @param  list<int>  $order */
    private function layPicks(array $order): void
    {
        $tasks = $this->of->problem->tasks;
        $picks = array_values(array_filter($order, static fn (int $task): bool => $tasks[$task]->pick !== null));
        usort($picks, static fn (int $a, int $b): int => [$tasks[$a]->pick, ! $tasks[$a]->key] <=> [$tasks[$b]->pick, ! $tasks[$b]->key]);
        foreach ($picks as $task) {
            $day = $this->of->problem->zone->day(new LocalDay((int) $tasks[$task]->pick));
            $this->keepOn($task, $day);
            $before = clone $this->table;
            if (! $this->layWithPredecessors($task, $day)) {
                $this->table = $before;
            }
        }
    }

    /** Lays a task on a day, and before that what must be finished first. */
    private function layWithPredecessors(int $task, Interval $day): bool
    {
        foreach ($this->of->after[$task] as $before) {
            if ($day->end <= $this->of->problem->now || ! $this->layWithPredecessors($before, new Interval($this->of->problem->now, $day->end))) {
                return false;
            }
        }

        return $this->table->lay($task, $day->start, $day->end);
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
