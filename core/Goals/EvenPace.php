<?php

declare(strict_types=1);

namespace Nekto\Core\Goals;

/** Where a measure would stand if it rose evenly. */
final readonly class EvenPace
{
    /**
     * Over working days: those gone, of those to the goal's date. Where there are none it is all due.
     *
     * @param  float  $gone  working days, the present one in part
     * @param  float  $all  working days from the beginning to the date
     */
    public static function over(float $target, float $gone, float $all): float
    {
        return $all <= 0.0 ? $target : $target * max(0.0, min(1.0, $gone / $all));
    }

    /**
     * Of a weekly measure: the days of the week that are gone, of seven.
     *
     * @param  float  $gone  days of the week, the present one in part
     */
    public static function ofWeek(float $target, float $gone): float
    {
        return self::over($target, $gone, 7.0);
    }
}
