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
}
