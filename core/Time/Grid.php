<?php

declare(strict_types=1);

namespace Nekto\Core\Time;

/** The grid of whole steps on which blocks begin and end, and to which minutes of work are rounded. */
final class Grid
{
    /** Minutes of one step; divides 60. */
    public const STEP = 5;

    /** The next multiple of a step from so many minutes on. */
    public static function up(int $minutes): int
    {
        return self::down($minutes + self::STEP - 1);
    }

    /** The last multiple of a step up to so many minutes. */
    public static function down(int $minutes): int
    {
        return $minutes - ($minutes % self::STEP + self::STEP) % self::STEP;
    }
}
