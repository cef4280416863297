<?php

declare(strict_types=1);

namespace Nekto\Core\Pressure;

use Nekto\Core\Time\IntervalSet;

/** How far placed work can still slip and meet its due date. */
final readonly class BlockSlack
{
    private function __construct(
        /** Open minutes between its planned and its latest start; negative if it is late as planned. */
        public int $minutes,
        /** When the block would end if it began at its latest start; null if that has passed. */
        public ?int $latestEnd,
    ) {}

    /**
     * @param  int  $start  the planned start of the block
     * @param  int  $length  minutes of the block
     * @param  int  $after  minutes of the same task that are planned after it
     * @param  IntervalSet  $open  open time the task may use, its own planned time included
     */
    public static function of(int $start, int $length, int $after, int $due, IntervalSet $open): self
    {
        $latest = $open->latestStart($length + $after, $due);
        if ($latest === null || $latest < $start) {
            $missing = $length + $after - $open->minutesBetween($start, $due);

            return new self(-max(1, $missing), null);
        }
        $free = $open->minutesBetween($start, $latest);
        $end = $open->latestStart($after, $due) ?? $due;

        return new self($free, $after === 0 ? self::lastOpen($open, $due) : $end);
    }

    private static function lastOpen(IntervalSet $open, int $due): int
    {
        $last = $due;
        foreach ($open->intervals as $interval) {
            if ($interval->start >= $due) {
                break;
            }
            $last = min($due, $interval->end);
        }

        return $last;
    }
}
