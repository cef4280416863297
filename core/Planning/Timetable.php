<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

/**
 * Where an order of tasks would be laid, as bare numbers: the same rule as Draft, made for a search that tries
 * thousands of orders. Cloning one costs next to nothing until it is changed, so a search keeps one for each place of
 * its order and goes on from there.
 */
final class Timetable
{
    /** @var list<list<int>> by set */
    public array $starts;

    /** @var list<list<int>> by set */
    public array $ends;

    /** @var list<list<int>> by set */
    private array $days;

    /** @var array<int, int> by set: the first window that is not used up */
    private array $head;

    /** @var array<int, int> minutes by day */
    private array $used = [];

    /** @var array<int, int> deep minutes by day */
    private array $usedDeep = [];

    /** @var list<array<int, int>> minutes by set and day */
    private array $usedSet;

    /** @var array<int, list<array{int, int}>> by task: blocks that were kept from the last plan */
    private array $kept = [];

    /** @var array<int, int> by task: when it is finished, or −1 if it is not completely placed */
    public array $finish = [];

    /** Of all placed tasks, in twentieths of a minute. */
    public int $cost = 0;

    public function __construct(private readonly Compiled $of)
    {
        $this->starts = $of->starts;
        $this->ends = $of->ends;
        $this->days = $of->days;
        $this->head = array_fill(0, count($of->starts), 0);
        $this->usedSet = array_fill(0, count($of->starts), []);
    }

    /** True if whatever is placed from here on is placed alike: the same time is free and the same is used. */
    public function isLike(self $other): bool
    {
        return $this->starts === $other->starts && $this->ends === $other->ends
            && $this->usedDeep === $other->usedDeep && $this->used === $other->used && $this->usedSet === $other->usedSet;
    }

    /**
     * Lays a task into the earliest free time it may have. Its predecessors must have been placed. One that finds not
     * all of its time takes none: others can use it.
     */
    public function place(int $task): void
    {
        $of = $this->of;
        $whole = $left = $of->minutes[$task] - ($this->kept === [] ? 0 : $this->keptMinutes($task));
        $from = $of->release[$task];
        foreach ($of->after[$task] as $before) {
            $finish = $this->finish[$before];
            if ($finish < 0) {
                $this->close($task, $left + $of->odd[$task], 0);

                return;
            }
            $from = $finish > $from ? $finish : $from;
        }
        $step = $of->problem->step;
        if ($from % $step !== 0) {
            $from += (-$of->problem->zone->minuteOfDay($from) % $step + $step) % $step;
        }
        $set = $of->set[$task];
        $least = $of->least[$task];
        $most = $of->most[$task];
        $apart = isset($this->kept[$task]) ? [...$of->apart[$task], ...$this->kept[$task]] : $of->apart[$task];
        $before = [$this->starts, $this->ends, $this->days, $this->used, $this->usedDeep, $this->usedSet];
        $starts = &$this->starts[$set]; // only now: a copy would share a reference
        $ends = &$this->ends[$set];
        $i = $this->head[$set];
        $count = count($starts);
        while ($i < $count && $starts[$i] >= $ends[$i]) {
            $i++;
        }
        $this->head[$set] = $i;
        $last = -1;
        $run = 0;
        for (; $left > 0 && $i < $count; $i++) {
            $end = $ends[$i];
            if ($end - $from < $least || $end - $starts[$i] < $least) {
                continue;
            }
            $start = $starts[$i];
            if ($apart !== []) {
                [$start, $end] = $this->apartFrom($apart, $start, $end, $step);
            }
            $at = $start > $from ? $start : $from;
            $room = $end - $at;
            if ($of->limited) {
                $free = $this->roomOn($task, $set, $this->days[$set][$i]);
                $room = $free < $room ? $free : $room;
            }
            if ($at !== $last) {
                $run = 0;
            } elseif ($most - $run < $least) {
                $at += $step; // a pause: touching blocks count as one
                $room = min($room, $end - $at);
                $run = 0;
            }
            $room = $most - $run < $room ? $most - $run : $room;
            if ($room >= $left) {
                $take = $left >= $least ? $left : 0;
            } elseif ($of->easy[$task]) {
                $take = $left - $room < $least ? $left - $least : $room;
                $take = $take < $least ? 0 : $take;
            } else {
                $take = $of->chunks[$task]->next($left, $room);
            }
            if ($take <= 0) {
                continue;
            }
            $last = $at + $take;
            $left -= $take;
            $run += $take;
            $this->take($task, $set, $i, $at, $last, $this->days[$set][$i]);
            $count = count($starts);
            // what is left of the window, now here or next, may take another block
            if ($left > 0 && $starts[$i] < $ends[$i] && $starts[$i] >= $last) {
                $i--;
            }
        }
        if ($left > 0 || $of->odd[$task] > 0) {
            unset($starts, $ends);
            [$this->starts, $this->ends, $this->days, $this->used, $this->usedDeep, $this->usedSet] = $before;
            $left = $whole;
        }
        $this->close($task, $left + $of->odd[$task], $last);
    }

    /** Leaves a block of the last plan where it is. It must be accepted there. */
    public function keep(int $task, int $start, int $end): void
    {
        $set = $this->of->set[$task];
        $window = (int) $this->windowOf($set, $start, $end);
        $this->take($task, $set, $window, $start, $end, $this->days[$set][$window]);
        $this->kept[$task][] = [$start, $end];
    }

    /** True if that time is free in the task's hours and its day is under its limits. */
    public function accepts(int $task, int $start, int $end): bool
    {
        $set = $this->of->set[$task];
        $window = $this->windowOf($set, $start, $end);

        return $window !== null && (! $this->of->limited || $this->roomOn($task, $set, $this->days[$set][$window]) >= $end - $start);
    }

    /** Minutes of a task that were kept. */
    public function keptMinutes(int $task): int
    {
        $minutes = 0;
        foreach ($this->kept[$task] ?? [] as [$start, $end]) {
            $minutes += $end - $start;
        }

        return $minutes;
    }

    /** When the first kept block of a task begins; null if none was kept. */
    public function firstKept(int $task): ?int
    {
        $first = null;
        foreach ($this->kept[$task] ?? [] as [$start]) {
            $first = $first === null ? $start : min($first, $start);
        }

        return $first;
    }

    /** @return array<int, list<array{int, int}>> by task: start and end of what was kept */
    public function kept(): array
    {
        return $this->kept;
    }

    /** The free window of a set that has all of that time, or null. */
    private function windowOf(int $set, int $start, int $end): ?int
    {
        $i = $this->firstEndingAfter($set, $start);

        return isset($this->starts[$set][$i]) && $this->starts[$set][$i] <= $start && $this->ends[$set][$i] >= $end ? $i : null;
    }

    private function firstEndingAfter(int $set, int $moment): int
    {
        $low = $this->head[$set];
        $high = count($this->ends[$set]);
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            $this->ends[$set][$middle] <= $moment ? $low = $middle + 1 : $high = $middle;
        }

        return $low;
    }

    /** @param  int  $end  of the last block that is not anchored, or less than 1 */
    private function close(int $task, int $missing, int $end): void
    {
        if ($missing > 0) {
            $this->finish[$task] = -1;
            $this->cost += $this->of->cost($task, $this->of->problem->end + $missing);

            return;
        }
        $end = max($end, $this->of->anchoredEnd[$task], ...array_column($this->kept[$task] ?? [], 1));
        $this->finish[$task] = $end > 0 ? $end : $this->of->problem->now;
        $this->cost += $this->of->cost($task, $this->finish[$task]);
    }

    private function take(int $task, int $set, int $i, int $start, int $end, int $day): void
    {
        $this->cut($set, $i, $start, $end);
        foreach ($this->of->shares[$set] as $other) {
            $this->carve($other, $start, $end);
        }
        if ($this->of->limited) {
            $length = $end - $start;
            $this->used[$day] = ($this->used[$day] ?? 0) + $length;
            $this->usedSet[$set][$day] = ($this->usedSet[$set][$day] ?? 0) + $length;
            if ($this->of->deep[$task]) {
                $this->usedDeep[$day] = ($this->usedDeep[$day] ?? 0) + $length;
            }
        }
    }

    private function cut(int $set, int $i, int $start, int $end): void
    {
        if ($start <= $this->starts[$set][$i]) {
            $this->starts[$set][$i] = min($end, $this->ends[$set][$i]);
        } elseif ($end >= $this->ends[$set][$i]) {
            $this->ends[$set][$i] = $start;
        } else {
            array_splice($this->starts[$set], $i + 1, 0, [$end]);
            array_splice($this->ends[$set], $i, 0, [$start]);
            array_splice($this->days[$set], $i, 0, [$this->days[$set][$i]]);
        }
    }

    private function carve(int $set, int $start, int $end): void
    {
        for ($i = $this->firstEndingAfter($set, $start); $i < count($this->starts[$set]) && $this->starts[$set][$i] < $end; $i++) {
            if ($this->ends[$set][$i] > $start && $this->starts[$set][$i] < $this->ends[$set][$i]) {
                $this->cut($set, $i, $start, $end);
            }
        }
    }

    private function roomOn(int $task, int $set, int $day): int
    {
        $of = $this->of;
        $room = $of->dayLimit[$day] - ($this->used[$day] ?? 0);
        $inSet = $of->setLimit[$set][$day] - ($this->usedSet[$set][$day] ?? 0);
        $room = $inSet < $room ? $inSet : $room;
        if ($of->deep[$task]) {
            $deep = $of->deepLimit[$day] - ($this->usedDeep[$day] ?? 0);
            $room = $deep < $room ? $deep : $room;
        }

        return $room < 0 ? 0 : $room - $room % $of->problem->step;
    }

    /**
     * @param  list<array{int, int}>  $fixed
     * @return array{int, int}
     */
    private function apartFrom(array $fixed, int $start, int $end, int $step): array
    {
        foreach ($fixed as [$fixedStart, $fixedEnd]) {
            if ($fixedEnd >= $start && $fixedEnd < $start + $step) {
                $start += $step;
            }
            if ($fixedStart <= $end && $fixedStart > $end - $step) {
                $end -= $step;
            }
        }

        return [$start, $end];
    }
}
