<?php

declare(strict_types=1);

namespace App\Rows;

/** What became of a task on a day, in the order in which an account lists it. */
enum Became: string
{
    /** Done on its day. */
    case Kept = 'kept';

    case Begun = 'begun';

    /** Its time today has not come yet. */
    case ToCome = 'to_come';

    /** Promised, and nothing of it done. */
    case Moved = 'moved';

    /** Due by then, neither promised nor done. */
    case Due = 'due';

    /** It came in after the day was taken. */
    case Added = 'added';

    public function isUnfinished(): bool
    {
        return in_array($this, [self::Begun, self::ToCome, self::Moved, self::Due], true);
    }
}
