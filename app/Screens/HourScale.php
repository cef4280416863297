<?php

declare(strict_types=1);

namespace App\Screens;

/** How many hours lie between two figures of a scale. */
final class HourScale
{
    private const STEPS = [1, 2, 5, 10, 15, 20, 40, 60, 100, 200, 500, 1000, 2000];

    /** @param  int  $lines  figures there is room for, beside 0 */
    public static function step(int $minutes, int $lines): int
    {
        foreach (self::STEPS as $hours) {
            if ($minutes / 60 / $hours <= $lines) {
                return $hours;
            }
        }

        return self::STEPS[count(self::STEPS) - 1];
    }
}
