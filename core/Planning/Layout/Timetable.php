<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Layout;

/**
 * What time is still free while tasks are laid one after another, as bare numbers. Cloning one costs next to nothing
 * until it is changed, so a search keeps one for each place of its order and goes on from there.
 */
final class Timetable
{
    /** A day later is too late to get the time a task would rather have. */
    private const WORTH_WAITING = 1440;

    /** @var array<int, array<int, int>> by lane */
    public array $starts;

    /** @var array<int, array<int, int>> by lane */
    public array $ends;

    /** @var array<int, array<int, int>> by lane */
    private array $days;

    /** @var array<int, int> by lane: the first window that is of any use */
    private array $head;

    /** @var array<int, int> minutes by day */
    private array $used = [];

    /** @var array<int, int> deep minutes by day */
    private array $usedDeep = [];

    /** @var array<int, array<int, int>> minutes by set of hours and day */
    private array $usedSet = [];

    /** Two timetables that differ here have different time taken. */
    private int $mark = 0;

    /** @var array<int, list<array{int, int}>> by task: blocks that were laid before it was its turn */
    private array $kept = [];

    /** @var array<int, int> by task that others come after: when it is finished, or −1 if it is not completely placed */
    public array $finish = [];

    /** When the task that was placed last is finished, or −1. */
    public int $last = -1;

    /** @var list<array{int, int}> the blocks that the task that was placed last got */
    public array $laid = [];

    /** Of all placed tasks, in twentieths of a minute. */
    public int $cost = 0;

    public function __construct(private readonly Compiled $of)
    {
        $this->starts = $of->lanes->starts;
        $this->ends = $of->lanes->ends;
        $this->days = $of->lanes->days;
        $this->head = array_fill(0, count($this->starts), 0);
    }

    /** True if whatever is placed from here on is placed alike: the same time is free and the same is used. */
    public function isLike(self $other): bool
    {
        return $this->mark === $other->mark && $this->starts === $other->starts && $this->ends === $other->ends
            && $this->usedDeep === $other->usedDeep && $this->used === $other->used && $this->usedSet === $other->usedSet;
    }

    /**
     * Lays what is left of a task into the earliest free time it may have. Its predecessors must have been placed. One
     * that finds not all of its time takes none: others can use it.
     */
    public function place(int $task): void
    {
        $of = $this->of;
        $left = $of->minutes[$task] - ($this->kept === [] ? 0 : $this->keptMinutes($task));
        $this->laid = [];
        $from = $of->after[$task] === [] && ! $of->barred[$task] ? $of->release[$task] : $this->earliest($task);
        if ($from === null) {
            $this->close($task, $left + $of->odd[$task], 0);

            return;
        }
        $end = -1;
        if ($left > 0 && $of->odd[$task] === 0) {
            [$lane, $found, $missing] = $this->bestFor($task, $left, $from, PHP_INT_MAX);
            if ($missing === 0) {
                $this->takeAll($task, $lane, $found);
                $left = 0;
                $end = $found[count($found) - 1][2];
            }
        }
        $this->close($task, $left + $of->odd[$task], $end);
    }

    /**
     * Gives a task that does not fit as a whole what time there is, without counting that it was placed before.
     *
     * @return int minutes that found no place
     */
    public function placeRest(int $task): int
    {
        $of = $this->of;
        $left = $of->minutes[$task] - $this->keptMinutes($task);
        $this->laid = [];
        $from = $this->earliest($task);
        if ($from === null) {
            return $left + $of->odd[$task];
        }
        [$found, $missing] = $this->find($task, $of->lane[$task], $left, $from, PHP_INT_MAX);
        $this->takeAll($task, $of->lane[$task], $found);

        return $missing + $of->odd[$task];
    }

    /**
     * Lays all of a task between two moments before it is its turn, as one that was picked for a day. Predecessors that
     * were not laid keep it out.
     *
     * @return bool false if it does not fit; then nothing has changed
     */
    public function lay(int $task, int $from, int $until): bool
    {
        $of = $this->of;
        if ($of->odd[$task] > 0 || $of->barred[$task]) {
            return false;
        }
        if (! $this->mayBegin($task, PHP_INT_MAX)) {
            return false;
        }
        foreach ($of->after[$task] as $before) {
            $from = max($from, $this->endOfKept($before));
        }
        $left = $of->minutes[$task] - $this->keptMinutes($task);
        $from = $of->problem->aligned(max($from, $of->release[$task]));
        if ($left <= 0) {
            return true;
        }
        [$lane, $found, $missing] = $this->bestFor($task, $left, $from, $until);
        if ($missing > 0) {
            return false;
        }
        $this->laid = [];
        $this->takeAll($task, $lane, $found);
        $this->kept[$task] = [...($this->kept[$task] ?? []), ...$this->laid];

        return true;
    }

    /**
     * Lays a part of a task between two moments, or what fits of that part; the rest keeps its turn. What lies there
     * already counts.
     *
     * @return int|null minutes of that part that found no place; null if none did: then nothing has changed
     */
    public function layShare(int $task, int $share, int $from, int $until): ?int
    {
        $of = $this->of;
        $left = $of->minutes[$task] - $this->keptMinutes($task);
        foreach ([...$of->apart[$task], ...$this->kept[$task] ?? []] as [$start, $end]) {
            $share -= $start >= $from && $end <= $until ? $end - $start : 0;
        }
        $share = intdiv(max(0, min($share, $left)), $of->problem->step) * $of->problem->step;
        $share = $share < $left && $left - $share < $of->least[$task] ? $left - $of->least[$task] : $share;
        if ($share <= 0) {
            return 0;
        }
        if ($share >= $left) {
            return $this->lay($task, $from, $until) ? 0 : null;
        }
        if ($share < $of->least[$task] || ! $of->easy[$task] || $of->odd[$task] > 0 || $of->barred[$task] || ! $this->mayBegin($task, PHP_INT_MAX)) {
            return null;
        }
        foreach ($of->after[$task] as $before) {
            $from = max($from, $this->endOfKept($before));
        }
        [$found, $missing] = $this->find($task, $of->lane[$task], $share, $of->problem->aligned(max($from, $of->release[$task])), $until);
        if ($found === []) {
            return null;
        }
        $this->laid = [];
        $this->takeAll($task, $of->lane[$task], $found);
        $this->kept[$task] = [...($this->kept[$task] ?? []), ...$this->laid];

        return $missing;
    }

    /** True if all that a task comes after is kept whole and ends by that moment. */
    public function mayBegin(int $task, int $moment): bool
    {
        foreach ($this->of->after[$task] as $before) {
            if ($this->keptMinutes($before) < $this->of->minutes[$before] || $this->of->odd[$before] > 0 || $this->endOfKept($before) > $moment) {
                return false;
            }
        }

        return true;
    }

    /** Counts a task that was kept whole as placed, wherever its predecessors end. */
    public function settle(int $task): void
    {
        $this->close($task, 0, 0);
        $this->finish[$task] = $this->last;
    }

    /** Leaves a block of the last plan where it is. It must be accepted there. */
    public function keep(int $task, int $start, int $end): void
    {
        $lane = $this->of->lane[$task];
        $window = (int) $this->windowOf($lane, $start, $end);
        $this->take($task, $lane, $window, $start, $end, $this->days[$lane][$window]);
        $this->kept[$task][] = [$start, $end];
    }

    /** Takes what was kept of a task away again. */
    public function giveBack(int $task): void
    {
        $lanes = $this->of->lanes;
        foreach ($this->kept[$task] ?? [] as [$start, $end]) {
            foreach (array_keys($lanes->with[$this->of->lane[$task]]) as $lane) {
                $this->reopen($lane, $start, $end);
            }
            $day = $this->of->problem->zone->dayOf($start)->number;
            $set = $lanes->set[$this->of->lane[$task]];
            $this->mark -= $end * $end - $start * $start;
            $this->used[$day] = ($this->used[$day] ?? 0) - ($lanes->dayLimited ? $end - $start : 0);
            $this->usedSet[$set][$day] = ($this->usedSet[$set][$day] ?? 0) - ($lanes->setLimited ? $end - $start : 0);
            $this->usedDeep[$day] = ($this->usedDeep[$day] ?? 0) - ($lanes->deepLimited && $this->of->deep[$task] ? $end - $start : 0);
        }
        unset($this->kept[$task], $this->finish[$task]);
    }

    /** True if that time is free in the task's hours and its day is under its limits. */
    public function accepts(int $task, int $start, int $end): bool
    {
        $lane = $this->of->lane[$task];
        $window = $this->windowOf($lane, $start, $end);

        return $window !== null && $this->roomOn($task, $lane, $this->days[$lane][$window]) >= $end - $start;
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

    /** @return list<array{int, int}> start and end of what was kept of a task */
    public function keptOf(int $task): array
    {
        return $this->kept[$task] ?? [];
    }

    /** True if the task's hours have any free time from that moment on. */
    public function hasFreeTime(int $task, int $from): bool
    {
        $lane = $this->of->lane[$task];
        foreach ($this->ends[$lane] as $i => $end) {
            if ($end > max($from, $this->starts[$lane][$i])) {
                return true;
            }
        }

        return false;
    }

    /** The first moment of the grid at which a task may begin; null if something keeps it out altogether. */
    public function earliest(int $task): ?int
    {
        $of = $this->of;
        if ($of->barred[$task]) {
            return null;
        }
        $from = $of->release[$task];
        foreach ($of->after[$task] as $before) {
            $finish = $this->finish[$before];
            if ($finish < 0) {
                return null;
            }
            $from = $finish > $from ? $finish : $from;
        }

        return $from === $of->release[$task] ? $from : $of->problem->aligned($from);
    }

    /**
     * Time for all of a task, where it would rather be if that makes it neither late nor a day later.
     *
     * @return array{int, list<array{int, int, int}>, int} lane, window, start and end of each block, and the minutes
     *                                                     without a place
     */
    private function bestFor(int $task, int $left, int $from, int $until): array
    {
        $of = $this->of;
        $lane = $of->lane[$task];
        [$found, $missing] = $this->find($task, $lane, $left, $from, $until);
        $rather = $of->rather[$task];
        if ($rather >= 0 && $missing === 0) {
            [$better, $without] = $this->find($task, $rather, $left, $from, $until);
            $end = $better === [] ? PHP_INT_MAX : $better[count($better) - 1][2];
            if ($without === 0 && $end <= $of->due[$task] && $end <= $found[count($found) - 1][2] + self::WORTH_WAITING) {
                return [$rather, $better, 0];
            }
        }

        return [$lane, $found, $missing];
    }

    /**
     * @return array{list<array{int, int, int}>, int} window, start and end of each block, and the minutes without a place
     */
    private function find(int $task, int $lane, int $left, int $from, int $until): array
    {
        $of = $this->of;
        $step = $of->problem->step;
        $least = $of->least[$task];
        $most = $of->most[$task];
        $apart = isset($this->kept[$task]) ? [...$of->apart[$task], ...$this->kept[$task]] : $of->apart[$task];
        $limited = $of->limited[$task];
        $starts = $this->starts[$lane];
        $ends = $this->ends[$lane];
        $useful = $of->useful[$lane];
        $count = count($starts);
        $i = $this->head[$lane];
        while ($i < $count && $useful > $ends[$i] - $starts[$i]) {
            $i++;
        }
        $this->head[$lane] = $i;
        if ($i < $count && $ends[$i] <= $from) {
            $i = $this->firstEndingAfter($lane, $from);
        }
        $last = $day = -1;
        $run = $free = 0;
        $found = [];
        for (; $left > 0 && $i < $count && $starts[$i] < $until; $i++) {
            $start = $starts[$i];
            $end = $ends[$i] < $until ? $ends[$i] : $until;
            $at = $start > $from ? $start : $from;
            if ($end - $at < $least) {
                continue;
            }
            if ($apart !== []) {
                [$start, $end] = self::apartFrom($apart, $start, $end, $step);
                $at = $start > $from ? $start : $from;
            }
            if ($limited) {
                if ($this->days[$lane][$i] !== $day) {
                    $day = $this->days[$lane][$i];
                    $free = $this->roomOn($task, $lane, $day);
                }
                if ($free < $least) {
                    continue;
                }
            }
            do {
                $before = $at === $last ? $run : 0;
                if ($most - $before < $least) {
                    $at += $step; // a pause: touching blocks count as one
                    $before = 0;
                }
                $room = $end - $at;
                if ($limited && $free < $room) {
                    $room = $free;
                }
                $room = $most - $before < $room ? $most - $before : $room;
                if ($room >= $left) {
                    $take = $left >= $least ? $left : 0;
                } elseif ($of->easy[$task]) {
                    $take = $left - $room < $least ? $left - $least : $room;
                    $take = $take < $least ? 0 : $take;
                } else {
                    $take = $of->chunks[$task]->next($left, $room);
                }
                if ($take <= 0) {
                    break;
                }
                $last = $at + $take;
                $found[] = [$i, $at, $last];
                $left -= $take;
                $run = $before + $take;
                $free -= $take;
                $at = $last;
            } while ($left > 0);
        }

        return [$found, $left];
    }

    /** The free window of a lane that has all of that time, or null. */
    private function windowOf(int $lane, int $start, int $end): ?int
    {
        $i = $this->firstEndingAfter($lane, $start);

        return isset($this->starts[$lane][$i]) && $this->starts[$lane][$i] <= $start && $this->ends[$lane][$i] >= $end ? $i : null;
    }

    private function firstEndingAfter(int $lane, int $moment): int
    {
        return self::firstAfter($this->ends[$lane], $moment);
    }

    /**
     * The place of the first number above another, by halving.
     *
     * @param  array<int, int>  $ascending
     */
    private static function firstAfter(array $ascending, int $number): int
    {
        $low = 0;
        $high = count($ascending);
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            $ascending[$middle] <= $number ? $low = $middle + 1 : $high = $middle;
        }

        return $low;
    }

    /** When the last fixed or kept block of a task ends; 0 if it has none. */
    public function endOfKept(int $task): int
    {
        return max(0, $this->of->anchoredEnd[$task], ...array_column($this->kept[$task] ?? [], 1));
    }

    /** @param  int  $end  of the last block that was laid now, or less than 1 */
    private function close(int $task, int $missing, int $end): void
    {
        $of = $this->of;
        if ($missing > 0) {
            $this->last = -1;
            $this->cost += $of->cost($task, $of->problem->end + $missing);
        } else {
            if (isset($this->kept[$task]) || $of->anchoredEnd[$task] > 0) {
                $end = max($end, $this->endOfKept($task));
            }
            $this->last = $end > 0 ? $end : $of->problem->now;
            $this->cost += $of->cost($task, $this->last);
        }
        if ($of->followers[$task] !== []) {
            $this->finish[$task] = $this->last;
        }
    }

    /** @param  list<array{int, int, int}>  $found  window, start and end of each block */
    private function takeAll(int $task, int $lane, array $found): void
    {
        $laid = [];
        for ($i = count($found) - 1; $i >= 0; $i--) { // from the last, since a window that is cut in two moves the later ones
            [$window, $start, $end] = $found[$i];
            $this->take($task, $lane, $window, $start, $end, $this->days[$lane][$window]);
            $laid[] = [$start, $end];
        }
        $this->laid = count($laid) > 1 ? array_reverse($laid) : $laid;
    }

    private function take(int $task, int $lane, int $window, int $start, int $end, int $day): void
    {
        $lanes = $this->of->lanes;
        $this->mark += $end * $end - $start * $start;
        if ($start <= $this->starts[$lane][$window]) {
            $until = $this->ends[$lane][$window];
            $this->starts[$lane][$window] = $end < $until ? $end : $until;
        } else {
            $this->cut($lane, $window, $start, $end);
        }
        foreach ($lanes->sharing[$lane] as $other) {
            $this->carve($other, $start, $end);
        }
        if ($lanes->dayLimited) {
            $this->used[$day] = ($this->used[$day] ?? 0) + $end - $start;
        }
        if ($lanes->setLimited) {
            $set = $lanes->set[$lane];
            $this->usedSet[$set][$day] = ($this->usedSet[$set][$day] ?? 0) + $end - $start;
        }
        if ($lanes->deepLimited && $this->of->deep[$task]) {
            $this->usedDeep[$day] = ($this->usedDeep[$day] ?? 0) + $end - $start;
        }
    }

    private function cut(int $lane, int $i, int $start, int $end): void
    {
        if ($start <= $this->starts[$lane][$i]) {
            $this->starts[$lane][$i] = min($end, $this->ends[$lane][$i]);
        } elseif ($end >= $this->ends[$lane][$i]) {
            $this->ends[$lane][$i] = $start;
        } else {
            array_splice($this->starts[$lane], $i + 1, 0, [$end]);
            array_splice($this->ends[$lane], $i, 0, [$start]);
            array_splice($this->days[$lane], $i, 0, [$this->days[$lane][$i]]);
        }
    }

    private function carve(int $lane, int $start, int $end): void
    {
        $starts = $this->starts[$lane];
        $ends = $this->ends[$lane];
        $count = count($ends);
        $i = 0;
        $high = $count;
        while ($i < $high) {
            $middle = ($i + $high) >> 1;
            $ends[$middle] <= $start ? $i = $middle + 1 : $high = $middle;
        }
        for (; $i < $count && $starts[$i] < $end; $i++) {
            if ($starts[$i] < $ends[$i]) {
                unset($starts, $ends); // so that cutting copies nothing
                $this->cut($lane, $i, $start, $end);
                $starts = $this->starts[$lane];
                $ends = $this->ends[$lane];
                $count = count($ends);
            }
        }
    }

    /** Makes time of a lane free that was taken, joined to what is free next to it. */
    private function reopen(int $lane, int $start, int $end): void
    {
        $whole = $this->of->lanes;
        for ($n = self::firstAfter($whole->ends[$lane], $start); isset($whole->starts[$lane][$n]) && $whole->starts[$lane][$n] < $end; $n++) {
            [$from, $until] = [$whole->starts[$lane][$n], $whole->ends[$lane][$n]];
            $open = max($start, $from);
            $close = min($end, $until);
            $this->head[$lane] = 0;
            $before = $next = $this->firstEndingAfter($lane, $open);
            while ($before > 0 && $this->starts[$lane][$before - 1] >= $this->ends[$lane][$before - 1]) {
                $before--; // used up
            }
            if ($before > 0 && $this->ends[$lane][$before - 1] === $open && $this->starts[$lane][$before - 1] >= $from) {
                $open = $this->starts[$lane][--$before];
            }
            while (isset($this->starts[$lane][$next]) && $this->starts[$lane][$next] >= $this->ends[$lane][$next]) {
                $next++;
            }
            if (isset($this->starts[$lane][$next]) && $this->starts[$lane][$next] === $close && $this->ends[$lane][$next] <= $until) {
                $close = $this->ends[$lane][$next++];
            }
            array_splice($this->starts[$lane], $before, $next - $before, [$open]);
            array_splice($this->ends[$lane], $before, $next - $before, [$close]);
            array_splice($this->days[$lane], $before, $next - $before, [$whole->days[$lane][$n]]);
        }
    }

    private function roomOn(int $task, int $lane, int $day): int
    {
        $lanes = $this->of->lanes;
        $room = $lanes->dayLimited ? $lanes->dayLimit[$day] - ($this->used[$day] ?? 0) : PHP_INT_MAX;
        if ($lanes->setLimited) {
            $set = $lanes->set[$lane];
            $room = min($room, $lanes->setLimit[$set][$day] - ($this->usedSet[$set][$day] ?? 0));
        }
        if ($lanes->deepLimited && $this->of->deep[$task]) {
            $room = min($room, $lanes->deepLimit[$day] - ($this->usedDeep[$day] ?? 0));
        }

        return $room <= 0 ? 0 : $room - $room % $this->of->problem->step;
    }

    /**
     * A window drawn in by a step where it touches one of the task's own fixed blocks, so that they stay two blocks.
     *
     * @param  list<array{int, int}>  $fixed
     * @return array{int, int}
     */
    private static function apartFrom(array $fixed, int $start, int $end, int $step): array
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
