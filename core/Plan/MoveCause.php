<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

/** Why work lies elsewhere than in the last plan. */
enum MoveCause: string
{
    /** Its time has passed and it was not done. */
    case Passed = 'passed';

    /** `start`, `end`: busy time that took its place. */
    case BusyTook = 'busy_took';

    /** `task`: other work that took its place. */
    case TaskTook = 'task_took';

    /** It has no place until somebody answers. */
    case Waiting = 'waiting';

    /** It was picked for the day it goes to. */
    case Picked = 'picked';

    /** `part`: the part of the day it keeps to, which was not where it lay. */
    case OutsidePart = 'outside_part';

    /** Its hours are closed there now. */
    case HoursClosed = 'hours_closed';

    /** `task`: a predecessor that now ends later. */
    case PredecessorMoved = 'predecessor_moved';

    /** Earlier time was free for it. */
    case EarlierFree = 'earlier_free';

    /** It has no place before the horizon any more. */
    case NoPlace = 'no_place';

    /** It has fewer minutes to place than it had. */
    case LessWork = 'less_work';

    /** It has minutes to place that it did not have. */
    case NewWork = 'new_work';

    /** Another division of the whole came out better. */
    case Rearranged = 'rearranged';
}
