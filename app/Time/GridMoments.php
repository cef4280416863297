<?php

declare(strict_types=1);

namespace App\Time;

use Carbon\CarbonImmutable;
use Nekto\Core\Time\Grid;

/** Moments on the grid on which blocks begin and end. */
final readonly class GridMoments
{
    /** The moment itself if it is on the grid, else the next one that is. */
    public static function next(CarbonImmutable $moment): CarbonImmutable
    {
        return Moments::moment(Grid::up(Moments::minute($moment)));
    }

    /** The moment itself if it is on the grid, else the last one that was. */
    public static function last(CarbonImmutable $moment): CarbonImmutable
    {
        return Moments::moment(Grid::down(Moments::minute($moment)));
    }
}
