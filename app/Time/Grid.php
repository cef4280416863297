<?php

declare(strict_types=1);

namespace App\Time;

use App\Rows\RowMapper;
use Carbon\CarbonImmutable;

/** Blocks begin and end on a grid of whole steps. All in minutes: lengths, or moments since 1970-01-01T00:00Z. */
final readonly class Grid
{
    public static function step(): int
    {
        return (int) config('nekto.step');
    }

    /** The next multiple of a step from there on. */
    public static function up(int $minutes): int
    {
        return self::down($minutes + self::step() - 1);
    }

    /** The last multiple of a step up to there. */
    public static function down(int $minutes): int
    {
        return (int) floor($minutes / self::step()) * self::step();
    }

    public static function next(CarbonImmutable $moment): CarbonImmutable
    {
        return RowMapper::moment(self::up(RowMapper::minute($moment)));
    }

    public static function last(CarbonImmutable $moment): CarbonImmutable
    {
        return RowMapper::moment(self::down(RowMapper::minute($moment)));
    }
}
