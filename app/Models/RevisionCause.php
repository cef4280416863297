<?php

declare(strict_types=1);

namespace App\Models;

/** What changed the plan. */
enum RevisionCause: string
{
    case LaidOut = 'laid_out';
    case Mended = 'mended';
    case Moved = 'moved';
    case Placed = 'placed';
    case Anchored = 'anchored';
    case Released = 'released';
    case Done = 'done';
    case PartDone = 'part_done';
    case Changed = 'changed';
    case Picked = 'picked';
    case Key = 'key';
    case NotKey = 'not_key';
    case Ended = 'ended';
    case Longer = 'longer';
    case Blocked = 'blocked';
    case Split = 'split';
    case Joined = 'joined';
    case Swapped = 'swapped';
    case Balanced = 'balanced';
    case Sent = 'sent';
    case Banked = 'banked';
    case Reserved = 'reserved';
    case Batched = 'batched';
    case WayTaken = 'way_taken';
    case Minutes = 'minutes';
    case Begun = 'begun';
    case Caught = 'caught';
    case Sorted = 'sorted';
    case Imported = 'imported';
    case Fetched = 'fetched';
    case Rested = 'rested';
    case Habits = 'habits';
    case Step = 'step';
    case Goal = 'goal';
    case Report = 'report';
    case MendTaken = 'mend_taken';
    case Undone = 'undone';

    public const AUTOMATIC = [self::Mended, self::Fetched, self::Rested, self::Habits];

    /** True where nobody pressed anything. */
    public function isAutomatic(): bool
    {
        return in_array($this, self::AUTOMATIC, true);
    }
}
