<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Layout;

use Nekto\Core\Plan\Breaks;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;

/**
 * Where rests lie so that no plan can hold more work in a row than is wanted: at fixed places of every stretch of time
 * that could be worked through. That costs a little time where a stretch is not full, and makes the rule hold for every
 * order of tasks.
 */
final readonly class BreakTimes
{
    public function __construct(private Breaks $breaks, private int $step) {}

    /**
     * @param  IntervalSet  $stretches  time that could be worked, fixed blocks included
     * @param  IntervalSet  $fixed  of it what is worked in any case: no rest can lie there
     */
    public function within(IntervalSet $stretches, IntervalSet $fixed): IntervalSet
    {
        $after = max($this->step, intdiv($this->breaks->after, $this->step) * $this->step);
        $length = intdiv($this->breaks->minutes + $this->step - 1, $this->step) * $this->step;
        $rests = [];
        foreach ($stretches->intervals as $stretch) {
            $at = $stretch->start;
            while ($at + $after < $stretch->end) {
                $rest = $this->clearOf($fixed, $at, new Interval($at + $after, $at + $after + $length));
                $rests[] = $rest;
                $at = $rest->end;
            }
        }

        return IntervalSet::covering(...$rests)->intersection($stretches)->without($fixed);
    }

    /** The rest, drawn forward to end where a fixed block begins; behind the block if that leaves no work before it. */
    private function clearOf(IntervalSet $fixed, int $from, Interval $rest): Interval
    {
        foreach ($fixed->intervals as $block) {
            if ($block->overlaps($rest)) {
                $start = $block->start - $rest->length();

                return $start > $from ? new Interval($start, $block->start) : new Interval($block->end, $block->end + $rest->length());
            }
        }

        return $rest;
    }
}
