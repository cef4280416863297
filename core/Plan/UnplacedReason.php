<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

/** Why work found no place. */
enum UnplacedReason: string
{
    /** Somebody's answer must arrive first. */
    case Waiting = 'waiting';

    /** A task it comes after is not completely placed. */
    case PredecessorUnplaced = 'predecessor_unplaced';

    /** Its hours have no free minute left before the horizon. */
    case NoOpenTime = 'no_open_time';

    /** There are free minutes, but no gap as long as its least block, or none under the day's limits. */
    case NoGapLongEnough = 'no_gap_long_enough';

    /** A habit that found no further day of its week. */
    case NoDayLeft = 'no_day_left';

    /**
     * Of a task that is no habit.
     *
     * @param  bool  $waits  for somebody's answer
     * @param  bool  $mayBegin  all that comes before it has its place
     * @param  bool  $isFree  any time of its hours is, from then on
     */
    public static function because(bool $waits, bool $mayBegin, bool $isFree): self
    {
        return match (true) {
            $waits => self::Waiting,
            ! $mayBegin => self::PredecessorUnplaced,
            $isFree => self::NoGapLongEnough,
            default => self::NoOpenTime,
        };
    }
}
