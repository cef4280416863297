<?php

declare(strict_types=1);

namespace Nekto\Core\Goals;

/** What became of a step in its week. */
enum Kept: string
{
    case Kept = 'kept';

    /** Its week is over and it was not done. */
    case Missed = 'missed';

    /** Its week is not over. */
    case ToCome = 'to_come';

    /**
     * @param  int|null  $doneAt  minutes since 1970-01-01T00:00Z, like the others
     * @param  int  $weekEnd  when its week is over
     */
    public static function of(?int $doneAt, int $weekEnd, int $now): self
    {
        return match (true) {
            $doneAt !== null && $doneAt < $weekEnd => self::Kept,
            $now >= $weekEnd => self::Missed,
            default => self::ToCome,
        };
    }
}
