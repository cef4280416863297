<?php

declare(strict_types=1);

namespace Nekto\Core\Time;

/** How long to wait after a failure: twice as long each time, up to a day (exponential back-off). */
final class BackOff
{
    private const MOST = 1440;

    /**
     * @param  int  $usual  minutes between two looks when all is well
     * @param  int  $failures  in a row, from 1
     * @return int minutes
     */
    public static function minutes(int $usual, int $failures): int
    {
        return (int) min(self::MOST, max(1, $usual) * 2 ** min(20, max(0, $failures - 1)));
    }
}
