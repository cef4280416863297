<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

/** Why work found no place. */
enum UnplacedReason: string
{
    /** A task it comes after is not completely placed. */
    case PredecessorUnplaced = 'predecessor_unplaced';

    /** Its hours have no free minute left before the horizon. */
    case NoOpenTime = 'no_open_time';

    /** There are free minutes, but no gap as long as its least block, or none under the day's limits. */
    case NoGapLongEnough = 'no_gap_long_enough';
}
