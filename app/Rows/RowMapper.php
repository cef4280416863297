<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\Block;
use App\Models\Entry;
use App\Models\HoursSet;
use App\Models\Occurrence;
use App\Models\Reserve;
use App\Models\User;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Hours\Stretch;
use Nekto\Core\Hours\WeeklyHours;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\LocalDay;

/** Turns rows into core values and core moments back into UTC. */
final class RowMapper
{
    /** Minutes since 1970-01-01T00:00Z. */
    public static function minute(CarbonImmutable $moment): int
    {
        return intdiv($moment->getTimestamp(), 60);
    }

    public static function moment(int $minute): CarbonImmutable
    {
        return CarbonImmutable::createFromTimestampUTC($minute * 60);
    }

    public static function hours(HoursSet $set): WeeklyHours
    {
        $exceptions = [];
        foreach ($set->exceptions as $exception) {
            $exceptions[$exception->date] = $exception->stretches;
        }

        return WeeklyHours::fromArrays($set->week, $exceptions);
    }

    /** The daily lunch as hours of its own; closed if the person has none. */
    public static function lunch(User $user): WeeklyHours
    {
        $lunch = $user->lunch_from !== null && $user->lunch_to !== null && $user->lunch_to > $user->lunch_from
            ? [new Stretch($user->lunch_from, $user->lunch_to)]
            : [];

        return new WeeklyHours(array_fill_keys(['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'], $lunch));
    }

    public static function time(Block|Occurrence|Reserve $row): Interval
    {
        return new Interval(self::start($row), self::end($row));
    }

    /** Like minute($row->starts_at), without making a date object: a page asks this thousands of times. */
    public static function start(Block|Occurrence|Entry|Reserve $row): int
    {
        return self::stored((string) $row->getAttributes()['starts_at']);
    }

    /** Like minute($row->ends_at), which must not be null. */
    public static function end(Block|Occurrence|Entry|Reserve $row): int
    {
        return self::stored((string) $row->getAttributes()['ends_at']);
    }

    /** A stored moment, "2026-03-11 10:20:00" in UTC. */
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

    /** True if a meeting keeps its time from being planned. */
    public static function blocks(Occurrence $occurrence): bool
    {
        $stored = $occurrence->getAttributes();

        return $stored['busy'] && ! $occurrence->meeting->getAttributes()['ignored'] && $stored['ends_at'] > $stored['starts_at'];
    }

    /** A meeting with the time to get there and the person's buffers. */
    public static function withBuffers(Occurrence $occurrence, User $user): Interval
    {
        if ($occurrence->getAttributes()['all_day']) {
            return self::time($occurrence);
        }
        $lead = $occurrence->meeting->getAttributes()['lead_minutes'];

        return self::time($occurrence)->widened((int) ($lead ?? $user->buffer_before), $user->buffer_after);
    }

    public static function today(User $user, CarbonImmutable $now): LocalDay
    {
        return Zones::named($user->zone)->dayOf(self::minute($now));
    }
}
