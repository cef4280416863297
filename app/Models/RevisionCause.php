<?php

declare(strict_types=1);

namespace App\Models;

/** What changed the plan. */
enum RevisionCause: string
{
    case LaidOut = 'laid_out';
    case Healed = 'healed';
    case Moved = 'moved';
    case Placed = 'placed';
    case Anchored = 'anchored';
    case Released = 'released';
    case Done = 'done';
    case PartDone = 'part_done';
    case Changed = 'changed';
    case Picked = 'picked';
    case Ended = 'ended';
    case Longer = 'longer';
    case Blocked = 'blocked';
    case Caught = 'caught';
    case Sorted = 'sorted';
    case Imported = 'imported';

    /** True where no one pressed anything. */
    public function isAutomatic(): bool
    {
        return $this === self::Healed;
    }
}
