<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Block;
use App\Models\HoursSet;
use App\Models\Occurrence;
use App\Models\User;
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

    public static function time(Block|Occurrence $row): Interval
    {
        return new Interval(self::minute($row->starts_at), self::minute($row->ends_at));
    }

    /** True if a meeting keeps its time from being planned. */
    public static function blocks(Occurrence $occurrence): bool
    {
        return $occurrence->busy && ! $occurrence->meeting->ignored && $occurrence->ends_at > $occurrence->starts_at;
    }

    /** A meeting with the time to get there and the person's buffers. */
    public static function withBuffers(Occurrence $occurrence, User $user): Interval
    {
        return $occurrence->all_day
            ? self::time($occurrence)
            : self::time($occurrence)->widened($occurrence->meeting->lead_minutes ?? $user->buffer_before, $user->buffer_after);
    }

    public static function today(User $user, CarbonImmutable $now): LocalDay
    {
        return LocalDay::fromString($user->local($now)->format('Y-m-d'));
    }
}
