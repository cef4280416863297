<?php

declare(strict_types=1);

namespace Nekto\Core\Work;

/** Work and breaks by turns, with a long break after several stretches. All in minutes. */
final readonly class Rhythm
{
    /**
     * @param  int  $work  of a stretch of work, at least 5
     * @param  int  $break  of a break, at least 1
     * @param  int  $long  of the long one
     * @param  int  $after  so many stretches of work, at least 1
     */
    public function __construct(private int $work, private int $break, private int $long, private int $after) {}

    /**
     * Where the person is in it. Time without an entry rests as well as a break does, if it is as long.
     *
     * @param  list<Spell>  $stretches  of the day, by start, not overlapping; one that goes on ends at $now
     * @param  int  $now  minutes since 1970-01-01T00:00Z
     * @param  bool  $isOn  the last stretch goes on
     */
    public function at(array $stretches, int $now, bool $isOn): Turn
    {
        $worked = $finished = 0;
        $restedFrom = null;
        $end = null;
        foreach ([...$stretches, null] as $stretch) {
            if ($stretch === null && $isOn) {
                break;
            }
            if ($stretch?->isBreak === true) {
                $restedFrom ??= $end ?? $stretch->time->start;
                $end = $stretch->time->end;

                continue;
            }
            $from = $restedFrom ?? $end;
            $rested = $from === null ? 0 : ($stretch->time->start ?? $now) - $from;
            if ($worked > 0 && $rested >= $this->break) {
                $finished = $rested >= $this->long ? 0 : $finished + 1;
                $worked = 0;
            }
            if ($stretch !== null) {
                $worked += $stretch->time->length();
                $end = $stretch->time->end;
                $restedFrom = null;
            }
        }
        $isLong = ($finished + 1) % $this->after === 0;
        $length = $isLong ? $this->long : $this->break;
        $last = end($stretches);
        $resting = $isOn && $last !== false && $last->isBreak;

        return new Turn(
            number: $finished % $this->after + 1,
            of: $this->after,
            worked: $worked,
            breakAt: $resting || ! $isOn ? null : $now + $this->work - $worked,
            backAt: $resting ? ($restedFrom ?? $now) + $length : null,
            breakMinutes: $length,
            isLong: $isLong,
        );
    }
}
