<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

/** Why a block lies where it lies, and what kept it from lying earlier. The words for people are the application's. */
enum ReasonCode: string
{
    /** The person fixed it there. */
    case Anchored = 'anchored';

    /** It has not moved since the last plan. */
    case Kept = 'kept';

    /** The first open time that was left for it. */
    case EarliestOpen = 'earliest_open';

    /** It goes on after an earlier block of the same task. */
    case Continues = 'continues';

    /** `at`: its earliest start. */
    case NotBefore = 'not_before';

    /** `task`: the predecessor that ends last. */
    case AfterTask = 'after_task';

    /** `task`: work that came first and lies where this could have begun. */
    case BehindTask = 'behind_task';

    /** `start`, `end`: busy time that lies where this could have begun. */
    case BehindBusy = 'behind_busy';

    /** `day`: the number of the first day that had open time, but no more minutes under a limit. */
    case DayFull = 'day_full';
}
