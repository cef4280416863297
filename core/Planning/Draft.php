<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;

/**
 * A plan in the making: free windows that shrink as tasks are placed. Mutable; it never leaves the planner.
 * Windows that are used up stay in their list with start = end, which is cheaper than taking them out.
 */
final class Draft
{
    /** @var array<list<array{int, int, int}>> by set of hours: start, end, day */
    private array $windows;

    /** @var array<int> by set: the first window that is not used up */
    private array $head;

    /** @var array<int, int> minutes by day */
    private array $used = [];

    /** @var array<int, int> deep minutes by day */
    private array $usedDeep = [];

    /** @var array<string, array<int, int>> minutes by set and day */
    private array $usedHours = [];

    /** @var array<string, list<array{int, int}>> by task: its blocks beside the anchored ones */
    private array $laid = [];

    /** @var array<string, list<array{int, int}>> by task */
    private array $anchored = [];

    /** @var array<string, int|null> by task: when it is finished, or null if it is not completely placed */
    private array $finish = [];

    /** @var array<string, Unplaced> by task */
    private array $unplaced = [];

    private int $cost = 0;

    /** @var array<string, array{Task, UnplacedReason}> by task: what found not all of its time */
    private array $waiting = [];

    /** @var array<string, int> by task */
    private array $costs = [];

    public function __construct(private readonly PlanningProblem $problem, FreeTime $free)
    {
        $this->windows = $free->windows;
        $this->head = array_map(static fn (): int => 0, $free->windows);
        foreach ($problem->anchored as $block) {
            $this->anchored[$block->task][] = [$block->time->start, $block->time->end];
        }
    }

    /** Takes free time for a task before anything else is placed, as where it lay in the last plan. */
    public function reserve(Task $task, Interval $time): void
    {
        $this->take($task, $time->start, $time->end);
    }

    /**
     * Lays what is left of the task into the earliest free time it may have. Its predecessors must have been placed. One
     * that finds not all of its time takes none for now: others can use it, see layRests().
     */
    public function place(Task $task): void
    {
        $laid = $this->laid[$task->id] ?? [];
        $left = $task->minutes - self::sum($laid) - self::sum($this->anchored[$task->id] ?? []);
        $from = $this->earliest($task);
        if ($left <= 0) {
            $this->close($task, 0, null);
        } elseif ($from === null) {
            $this->close($task, $left, UnplacedReason::PredecessorUnplaced);
        } else {
            $before = [$this->windows, $this->head, $this->used, $this->usedDeep, $this->usedHours, $this->laid];
            $still = $this->fill($task, $left, $from);
            if ($still > 0) {
                $reason = $this->hasFreeTime($task, $from) ? UnplacedReason::NoGapLongEnough : UnplacedReason::NoOpenTime;
                [$this->windows, $this->head, $this->used, $this->usedDeep, $this->usedHours, $this->laid] = $before;
                $this->waiting[$task->id] = [$task, $reason];
                $still = $left;
            }
            $this->close($task, $still, $reason ?? null);
        }
    }

    /** Gives tasks that cannot be finished before the horizon what time is left, when all others have been placed. */
    public function layRests(): void
    {
        foreach ($this->waiting as [$task, $reason]) {
            $this->cost -= $this->costs[$task->id];
            $left = $this->unplaced[$task->id]->minutes;
            $this->close($task, $this->fill($task, $left, $this->earliest($task) ?? $this->problem->end), $reason);
        }
        $this->waiting = [];
    }

    /** Sum of the costs of what has been placed, in twentieths of a minute. */
    public function cost(): int
    {
        return $this->cost;
    }

    /** When a placed task is finished; null if it is not completely placed. */
    public function finishOf(string $task): ?int
    {
        return $this->finish[$task] ?? null;
    }

    /** The first moment of the grid at which predecessors and its own earliest start let a task begin; null if never. */
    public function earliest(Task $task): ?int
    {
        $from = max($this->problem->first, $task->notBefore ?? 0);
        foreach ($task->after as $name) {
            if (! isset($this->finish[$name])) {
                return null;
            }
            $from = max($from, $this->finish[$name]);
        }
        $step = $this->problem->step;

        return $from + (-$this->problem->zone->minuteOfDay($from) % $step + $step) % $step;
    }

    public function toPlan(): Plan
    {
        $blocks = $this->problem->anchored;
        foreach ($this->laid as $task => $times) {
            foreach ($times as [$start, $end]) {
                $blocks[] = new Block((string) $task, new Interval($start, $end));
            }
        }
        usort($blocks, static fn (Block $a, Block $b): int => $a->time->start <=> $b->time->start);

        return new Plan($blocks, array_values($this->unplaced));
    }

    /** Returns the minutes that found no place. */
    private function fill(Task $task, int $left, int $from): int
    {
        $own = $task->minutes - self::sum($this->anchored[$task->id] ?? []);
        $odd = $left % $this->problem->step; // beside an anchored block of odd length: no block can have these
        $left -= $odd;
        $chunks = new Chunks($task, $own, $this->problem->step);
        $fixed = [...($this->anchored[$task->id] ?? []), ...($this->laid[$task->id] ?? [])];
        $found = [];
        $today = []; // minutes found by day
        $run = 0;
        $last = -1;
        $windows = $this->windows[$task->hours];
        $count = count($windows);
        for ($i = $this->firstWindow($task->hours); $i < $count && $left > 0; $i++) {
            [$start, $end, $day] = $windows[$i];
            if ($end - max($start, $from) < $chunks->least) {
                continue;
            }
            if ($fixed !== []) {
                [$start, $end] = $this->apartFrom($fixed, $start, $end);
            }
            $at = max($start, $from);
            $room = $this->roomOn($task, $day) - ($today[$day] ?? 0);
            while ($left > 0) {
                if ($at !== $last) {
                    $run = 0;
                } elseif ($chunks->most - $run < $chunks->least) {
                    $at += $this->problem->step; // a pause: touching blocks count as one
                    $run = 0;
                }
                $take = $chunks->next($left, min($end - $at, $room, $chunks->most - $run));
                if ($take <= 0) {
                    break;
                }
                $found[] = [$at, $at + $take];
                $left -= $take;
                $room -= $take;
                $today[$day] = ($today[$day] ?? 0) + $take;
                $run += $take;
                $at = $last = $at + $take;
            }
        }
        foreach ($found as [$start, $end]) {
            $this->take($task, $start, $end);
        }

        return $left + $odd;
    }

    /**
     * A window drawn in by a step where it touches one of the task's own fixed blocks, so that they stay two blocks.
     *
     * @param  list<array{int, int}>  $fixed
     * @return array{int, int}
     */
    private function apartFrom(array $fixed, int $start, int $end): array
    {
        foreach ($fixed as [$fixedStart, $fixedEnd]) {
            if ($fixedEnd >= $start && $fixedEnd < $start + $this->problem->step) {
                $start += $this->problem->step;
            }
            if ($fixedStart <= $end && $fixedStart > $end - $this->problem->step) {
                $end -= $this->problem->step;
            }
        }

        return [$start, $end];
    }

    private function take(Task $task, int $start, int $end): void
    {
        $this->laid[$task->id][] = [$start, $end];
        foreach (array_keys($this->windows) as $name) {
            $this->carve((string) $name, $start, $end);
        }
        $day = $this->problem->zone->dayOf($start)->number;
        $length = $end - $start;
        $this->used[$day] = ($this->used[$day] ?? 0) + $length;
        $this->usedHours[$task->hours][$day] = ($this->usedHours[$task->hours][$day] ?? 0) + $length;
        if ($task->demand === Demand::Deep) {
            $this->usedDeep[$day] = ($this->usedDeep[$day] ?? 0) + $length;
        }
    }

    private function carve(string $name, int $start, int $end): void
    {
        $windows = &$this->windows[$name];
        $count = count($windows);
        for ($i = $this->firstWindow($name); $i < $count && $windows[$i][0] < $end; $i++) {
            [$from, $to, $day] = $windows[$i];
            if ($to <= $start) {
                continue;
            }
            if ($start <= $from) {
                $windows[$i][0] = min($end, $to);
            } elseif ($to <= $end) {
                $windows[$i][1] = $start;
            } else {
                $windows[$i][1] = $start;
                array_splice($windows, $i + 1, 0, [[$end, $to, $day]]);

                return;
            }
        }
    }

    private function firstWindow(string $name): int
    {
        $i = $this->head[$name];
        while (isset($this->windows[$name][$i]) && $this->windows[$name][$i][0] >= $this->windows[$name][$i][1]) {
            $i++;
        }

        return $this->head[$name] = $i;
    }

    private function roomOn(Task $task, int $day): int
    {
        $room = $this->problem->dayLimit->on($day) - ($this->used[$day] ?? 0);
        if ($task->demand === Demand::Deep) {
            $room = min($room, $this->problem->deepLimit->on($day) - ($this->usedDeep[$day] ?? 0));
        }
        $limit = $this->problem->hoursLimits[$task->hours] ?? null;
        if ($limit !== null) {
            $room = min($room, $limit->on($day) - ($this->usedHours[$task->hours][$day] ?? 0));
        }

        return $room < 0 ? 0 : $room - $room % $this->problem->step;
    }

    private function hasFreeTime(Task $task, int $from): bool
    {
        foreach ($this->windows[$task->hours] as [$start, $end]) {
            if ($end > max($start, $from)) {
                return true;
            }
        }

        return false;
    }

    private function close(Task $task, int $missing, ?UnplacedReason $reason): void
    {
        if ($missing > 0) {
            $this->unplaced[$task->id] = new Unplaced($task->id, $missing, $reason ?? UnplacedReason::NoOpenTime);
            $this->count($task, $this->problem->end + $missing);

            return;
        }
        $ends = array_column([...($this->laid[$task->id] ?? []), ...($this->anchored[$task->id] ?? [])], 1);
        $this->finish[$task->id] = $ends === [] ? $this->problem->now : max($ends);
        $this->count($task, $this->finish[$task->id]);
    }

    private function count(Task $task, int $finish): void
    {
        $this->costs[$task->id] = $task->cost($finish, $this->problem->now);
        $this->cost += $this->costs[$task->id];
    }

    /** @param  list<array{int, int}>  $blocks */
    private static function sum(array $blocks): int
    {
        $sum = 0;
        foreach ($blocks as [$start, $end]) {
            $sum += $end - $start;
        }

        return $sum;
    }
}
