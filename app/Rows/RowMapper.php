<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\Block;
use App\Models\Entry;
use App\Models\HoursSet;
use App\Models\LunchDay;
use App\Models\Occurrence;
use App\Models\Reserve;
use App\Models\User;
use App\Time\Moments;
use Nekto\Core\Hours\Stretch;
use Nekto\Core\Hours\WeeklyHours;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\LocalDay;

/** Turns rows into core values. */
final class RowMapper
{
    public static function hours(HoursSet $set): WeeklyHours
    {
        $exceptions = [];
        foreach ($set->exceptions as $exception) {
            $exceptions[$exception->date] = $exception->stretches;
        }

        return WeeklyHours::fromArrays($set->week, $exceptions);
    }

    /** Where deep work goes best; null if the person has said nothing. */
    public static function bestHours(User $user): ?WeeklyHours
    {
        return $user->best_hours === null || $user->best_hours === [] ? null : WeeklyHours::fromArrays($user->best_hours);
    }

    /**
     * The daily lunch as hours of its own; closed if the person has none.
     *
     * @param  list<LunchDay>  $others  days with another
     */
    public static function lunch(User $user, array $others = []): WeeklyHours
    {
        $lunch = static fn (?int $from, ?int $to): array => $from !== null && $to !== null && $to > $from ? [new Stretch($from, $to)] : [];
        $exceptions = [];
        foreach ($others as $one) {
            $exceptions[LocalDay::fromString($one->date)->number] = $lunch($one->from, $one->to);
        }

        return new WeeklyHours(array_fill_keys(WeeklyHours::WEEKDAYS, $lunch($user->lunch_from, $user->lunch_to)), $exceptions);
    }

    /** The nights, as hours of their own: nothing is planned in them, whatever hours reach in. */
    public static function sleep(User $user): WeeklyHours
    {
        [$from, $to] = [$user->sleep_from, $user->sleep_to];
        if ($from === null || $to === null || $from === $to) {
            return new WeeklyHours([]);
        }
        $night = $from < $to ? [new Stretch($from, $to)] : [...($to > 0 ? [new Stretch(0, $to)] : []), new Stretch($from, 1440)];

        return new WeeklyHours(array_fill_keys(WeeklyHours::WEEKDAYS, $night));
    }

    public static function time(Block|Occurrence|Reserve $row): Interval
    {
        return new Interval(self::start($row), self::end($row));
    }

    /** Minutes since 1970-01-01T00:00Z; without making a date object: a page asks this thousands of times. */
    public static function start(Block|Occurrence|Entry|Reserve $row): int
    {
        return Moments::stored((string) $row->getAttributes()['starts_at']);
    }

    /** Minutes since 1970-01-01T00:00Z; the end must not be null. */
    public static function end(Block|Occurrence|Entry|Reserve $row): int
    {
        return Moments::stored((string) $row->getAttributes()['ends_at']);
    }

    /** Minutes; no way to a meeting is longer. */
    public const FURTHEST_WAY = 480;

    /** The same as withBuffers(), asked of the database, of occurrences joined with meetings and calendars; the person's buffers are its two values. */
    public const WITH_BUFFERS = "strftime('%s', occurrences.starts_at) / 60 - case when occurrences.all_day then 0 else coalesce(meetings.lead_minutes,
            max(coalesce(calendars.buffer_before, ?), case when occurrences.place is null or instr(occurrences.place, '://') > 0 then 0 else calendars.travel end)) end as since,
        strftime('%s', occurrences.ends_at) / 60 + case when occurrences.all_day then 0 else coalesce(calendars.buffer_after, ?) end as until";

    /** A meeting with the time to get there and the buffers around it. */
    public static function withBuffers(Occurrence $occurrence, User $user): Interval
    {
        if ($occurrence->getAttributes()['all_day']) {
            return self::time($occurrence);
        }

        return self::time($occurrence)->widened(self::before($occurrence, $user), (int) ($occurrence->meeting->calendar->getAttributes()['buffer_after'] ?? $user->buffer_after));
    }

    /** Minutes before a meeting at which the person is reminded of it: early enough to get there. */
    public static function announced(Occurrence $occurrence, User $user): int
    {
        return max($user->remind_before, self::before($occurrence, $user));
    }

    /** Minutes kept free before a meeting: what was said of it, or the longer of its calendar's buffer and the way to its place. */
    public static function before(Occurrence $occurrence, User $user): int
    {
        $calendar = $occurrence->meeting->calendar->getAttributes();
        $isSomewhere = $occurrence->place !== null && ! str_contains($occurrence->place, '://');

        return (int) ($occurrence->meeting->getAttributes()['lead_minutes'] ?? max($calendar['buffer_before'] ?? $user->buffer_before, $isSomewhere ? $calendar['travel'] : 0));
    }
}
