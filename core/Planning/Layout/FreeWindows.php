<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Layout;

/**
 * The time that is still free, lane by lane, as bare numbers.
 *
 * What always holds (and is asserted in tests): the windows of a lane lie in order of time and apart; none begins after its
 * end, one that is used up begins at its end and may stay; each lies within one of the lane's windows as they were open;
 * time that was taken in a lane is free in none of those that share time with it.
 */
final class FreeWindows
{
    /** @var array<int, array<int, int>> by lane */
    public array $starts;

    /** @var array<int, array<int, int>> by lane */
    public array $ends;

    /** @var array<int, array<int, int>> by lane: the number of each window's day */
    public array $days;

    /** @var array<int, int> by lane: the first window that is long enough for anything */
    private array $first;

    public function __construct(private readonly Lanes $lanes)
    {
        $this->starts = $lanes->starts;
        $this->ends = $lanes->ends;
        $this->days = $lanes->days;
        $this->first = array_fill(0, count($this->starts), 0);
    }

    public function areLike(self $other): bool
    {
        return $this->starts === $other->starts && $this->ends === $other->ends;
    }

    /**
     * The first window of a lane in which something may end after a moment.
     *
     * @param  int  $useful  minutes; shorter ones at the beginning are passed over for good
     */
    public function firstFrom(int $lane, int $moment, int $useful): int
    {
        $starts = $this->starts[$lane];
        $ends = $this->ends[$lane];
        $count = count($starts);
        $i = $this->first[$lane];
        while ($i < $count && $useful > $ends[$i] - $starts[$i]) {
            $i++;
        }
        $this->first[$lane] = $i;

        return $i < $count && $ends[$i] <= $moment ? self::firstAbove($ends, $moment) : $i;
    }

    /** The window of a lane that has all of that time, or null. */
    public function around(int $lane, int $start, int $end): ?int
    {
        $i = self::firstAbove($this->ends[$lane], $start);

        return isset($this->starts[$lane][$i]) && $this->starts[$lane][$i] <= $start && $this->ends[$lane][$i] >= $end ? $i : null;
    }

    /** True if any time of a lane is free from that moment on. */
    public function isAnyFrom(int $lane, int $moment): bool
    {
        foreach ($this->ends[$lane] as $i => $end) {
            if ($end > max($moment, $this->starts[$lane][$i])) {
                return true;
            }
        }

        return false;
    }

    /** Takes time out of a window of a lane, and out of all lanes that share it. */
    public function take(int $lane, int $window, int $start, int $end): void
    {
        if ($start <= $this->starts[$lane][$window]) {
            $until = $this->ends[$lane][$window];
            $this->starts[$lane][$window] = $end < $until ? $end : $until;
        } else {
            $this->cut($lane, $window, $start, $end);
        }
        foreach ($this->lanes->sharing[$lane] as $other) {
            $this->carve($other, $start, $end);
        }
    }

    /** Makes time of a lane, and of all that share it, free again, joined to what is free next to it. */
    public function giveBack(int $lane, int $start, int $end): void
    {
        foreach (array_keys($this->lanes->with[$lane]) as $other) {
            $this->reopen($other, $start, $end);
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

    private function reopen(int $lane, int $start, int $end): void
    {
        $whole = $this->lanes;
        for ($n = self::firstAbove($whole->ends[$lane], $start); isset($whole->starts[$lane][$n]) && $whole->starts[$lane][$n] < $end; $n++) {
            [$from, $until] = [$whole->starts[$lane][$n], $whole->ends[$lane][$n]];
            $open = max($start, $from);
            $close = min($end, $until);
            $this->first[$lane] = 0;
            $before = $next = self::firstAbove($this->ends[$lane], $open);
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

    /**
     * The place of the first number above another, by halving.
     *
     * @param  array<int, int>  $ascending
     */
    private static function firstAbove(array $ascending, int $number): int
    {
        $low = 0;
        $high = count($ascending);
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            $ascending[$middle] <= $number ? $low = $middle + 1 : $high = $middle;
        }

        return $low;
    }
}
