<?php

declare(strict_types=1);

namespace Nekto\Core\Time;

/** Minutes of the time line. Sets that cover the same minutes are equal (==). */
final readonly class IntervalSet
{
    /** @param  list<Interval>  $intervals  sorted, neither overlapping nor touching */
    private function __construct(public array $intervals) {}

    public static function empty(): self
    {
        return new self([]);
    }

    /** The minutes that at least one of the given intervals covers. O(n log n). */
    public static function covering(Interval ...$intervals): self
    {
        $sorted = array_values($intervals);
        usort($sorted, static fn (Interval $a, Interval $b): int => $a->start <=> $b->start);
        $joined = [];
        foreach ($sorted as $next) {
            $last = end($joined);
            if ($last !== false && $next->start <= $last->end) {
                array_pop($joined);
                $next = new Interval($last->start, max($last->end, $next->end));
            }
            $joined[] = $next;
        }

        return new self($joined);
    }

    public function isEmpty(): bool
    {
        return $this->intervals === [];
    }

    /** All minutes together. */
    public function length(): int
    {
        $length = 0;
        foreach ($this->intervals as $interval) {
            $length += $interval->length();
        }

        return $length;
    }

    public function union(self $other): self
    {
        return self::covering(...$this->intervals, ...$other->intervals);
    }

    /** The minutes of this set that the other does not have. O(n + m). */
    public function without(self $other): self
    {
        $left = [];
        $cuts = $other->intervals;
        $j = 0;
        foreach ($this->intervals as $interval) {
            $start = $interval->start;
            while ($j < count($cuts) && $cuts[$j]->end <= $start) {
                $j++;
            }
            for ($k = $j; $k < count($cuts) && $cuts[$k]->start < $interval->end; $k++) {
                if ($cuts[$k]->start > $start) {
                    $left[] = new Interval($start, $cuts[$k]->start);
                }
                $start = max($start, $cuts[$k]->end);
            }
            if ($start < $interval->end) {
                $left[] = new Interval($start, $interval->end);
            }
        }

        return new self($left);
    }

    /** The minutes that both sets have. O(n + m). */
    public function intersection(self $other): self
    {
        $both = [];
        $i = $j = 0;
        while ($i < count($this->intervals) && $j < count($other->intervals)) {
            $common = $this->intervals[$i]->intersection($other->intervals[$j]);
            if ($common !== null) {
                $both[] = $common;
            }
            $this->intervals[$i]->end < $other->intervals[$j]->end ? $i++ : $j++;
        }

        return new self($both);
    }

    /** The minutes of this set from $start until $end; none if $end is not after $start. */
    public function between(int $start, int $end): self
    {
        if ($end <= $start) {
            return self::empty();
        }
        $low = 0;
        $high = count($this->intervals);
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            $this->intervals[$middle]->end <= $start ? $low = $middle + 1 : $high = $middle;
        }
        $parts = [];
        for (; isset($this->intervals[$low]) && $this->intervals[$low]->start < $end; $low++) {
            $interval = $this->intervals[$low];
            $parts[] = $interval->start >= $start && $interval->end <= $end ? $interval : new Interval(max($start, $interval->start), min($end, $interval->end));
        }

        return new self($parts);
    }

    /** How many minutes of this set lie from $start until $end. O(n). */
    public function minutesBetween(int $start, int $end): int
    {
        $minutes = 0;
        foreach ($this->intervals as $interval) {
            if ($interval->start >= $end) {
                break;
            }
            $minutes += max(0, min($end, $interval->end) - max($start, $interval->start));
        }

        return $minutes;
    }

    public function contains(int $minute): bool
    {
        return $this->minutesBetween($minute, $minute + 1) === 1;
    }

    public function engulfs(Interval $interval): bool
    {
        return $this->minutesBetween($interval->start, $interval->end) === $interval->length();
    }

    public function overlaps(Interval $interval): bool
    {
        return $this->minutesBetween($interval->start, $interval->end) > 0;
    }
}
