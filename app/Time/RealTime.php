<?php

declare(strict_types=1);

namespace App\Time;

/** The time of the world, which the doors go by even where the application's clock is held: codes and idle limits. */
final class RealTime
{
    /** Seconds that a test is ahead. */
    public static int $ahead = 0;

    /** Seconds since 1970. */
    public static function seconds(): int
    {
        return time() + self::$ahead;
    }
}
