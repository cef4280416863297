<?php

declare(strict_types=1);

namespace App\Models;

/** Where a task is on its way. */
enum TaskStage: string
{
    /** Caught, not sorted yet. */
    case Inbox = 'inbox';

    /** Sorted, to be done. */
    case Open = 'open';

    /** For somebody's answer. */
    case Waiting = 'waiting';

    /** Perhaps, one day; out of sight until its date. */
    case Someday = 'someday';

    /** Nothing to do: something to look up. */
    case Reference = 'reference';
}
