<?php

declare(strict_types=1);

namespace App\Edits;

/** Changes that Nekto works out and the person takes, whole or in part. */
enum ChangeKind: string
{
    /** Everything is laid out anew. */
    case LayOut = 'lay-out';

    /** What can wait goes to another day. */
    case Wait = 'wait';

    /** The day's hours end later. */
    case Longer = 'longer';

    /** A task is made shorter. */
    case Cut = 'cut';

    /** What went by or lies under a meeting is placed again. */
    case Mend = 'mend';

    /** A way out of a crunch is taken, and everything is laid out anew with it. */
    case Way = 'way';

    /** Tasks are picked for the day. */
    case Picks = 'picks';
}
