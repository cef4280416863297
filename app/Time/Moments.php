<?php

declare(strict_types=1);

namespace App\Time;

use App\Models\User;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** Moments as rows and pages have them, and as the core counts them: whole minutes since 1970-01-01T00:00Z. */
final class Moments
{
    /** Minutes since 1970-01-01T00:00Z, seconds dropped. */
    public static function minute(CarbonImmutable $moment): int
    {
        return intdiv($moment->getTimestamp(), 60);
    }

    public static function moment(int $minute): CarbonImmutable
    {
        return CarbonImmutable::createFromTimestampUTC($minute * 60);
    }

    /** Of a stored moment, "2026-03-11 10:20:00" in UTC; without making a date object: a page asks this thousands of times. */
    public static function stored(string $moment): int
    {
        return intdiv((int) gmmktime(
            (int) substr($moment, 11, 2),
            (int) substr($moment, 14, 2),
            0,
            (int) substr($moment, 5, 2),
            (int) substr($moment, 8, 2),
            (int) substr($moment, 0, 4),
        ), 60);
    }

    /** The local day that a person has at a moment. */
    public static function today(User $user, CarbonImmutable $now): LocalDay
    {
        return Zones::named($user->zone)->dayOf(self::minute($now));
    }
}
