<?php

declare(strict_types=1);

namespace Nekto\Core\Time;

/** A set of open minutes laid end to end: turns moments into open minutes and back, in O(log n). */
final readonly class Timeline
{
    /** @var array<int, int> */
    private array $starts;

    /** @var array<int, int> open minutes before each start; one more entry than starts, the last is the total */
    private array $before;

    public function __construct(public IntervalSet $open)
    {
        $starts = [];
        $before = [0];
        $total = 0;
        foreach ($open->intervals as $interval) {
            $starts[] = $interval->start;
            $before[] = $total += $interval->length();
        }
        $this->starts = $starts;
        $this->before = $before;
    }

    /** Open minutes before that moment. */
    public function position(int $minute): int
    {
        $low = 0;
        $high = count($this->starts);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $this->starts[$middle] <= $minute ? $low = $middle + 1 : $high = $middle;
        }
        $start = $this->starts[$low - 1] ?? null;

        return $start === null ? 0 : min($this->before[$low] ?? 0, ($this->before[$low - 1] ?? 0) + $minute - $start);
    }

    /** Open minutes from one moment until another; 0 if the second is not later. */
    public function minutesBetween(int $start, int $end): int
    {
        return max(0, $this->position($end) - $this->position($start));
    }

    public function length(): int
    {
        return $this->before[count($this->starts)];
    }
}
