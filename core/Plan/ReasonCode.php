<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

/** Why a block lies where it lies, and what kept it from lying earlier. The words for people are the application's. */
enum ReasonCode: string
{
    /** The person fixed it there. */
    case Anchored = 'anchored';

    /** `day`: the number of the day it was picked for. */
    case Picked = 'picked';

    /** The last plan is frozen until after it. */
    case Frozen = 'frozen';

    /** `habit`: its next time of the week. */
    case Habit = 'habit';

    /** `context`: done together with other small tasks. */
    case Batched = 'batched';

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

    /** `project`, `task`: the next step of its project after that one. */
    case NextStep = 'next_step';

    /** It lies in the best hours for deep work. */
    case BestHours = 'best_hours';

    /** `due`: it is finished before that. */
    case InTime = 'in_time';

    /** `due`: it is not finished before that. */
    case Late = 'late';

    /** `task`: work that came first and lies where this could have begun. */
    case BehindTask = 'behind_task';

    /** `start`, `end`: busy time that lies where this could have begun. */
    case BehindBusy = 'behind_busy';

    /** `start`, `end`: a rest that lies where this could have begun. */
    case BehindBreak = 'behind_break';

    /** `start`, `end`: time reserved for deep work that lies where this could have begun. */
    case BehindDeepTime = 'behind_deep_time';

    /** `part`: the part of the day it keeps to. */
    case PartOfDay = 'part_of_day';

    /** `day`: the number of the first day that had open time, but no more minutes under a limit. */
    case DayFull = 'day_full';
}
