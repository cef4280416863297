<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\User;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** Times and durations as they are said on the screens. Moments may be given in minutes since 1970-01-01T00:00Z. */
final class Times
{
    /** Dates further away than this say their year. */
    private const NEAR_DAYS = 180;

    /** 80 → "1 h 20", 45 → "45 min", 60 → "1 h 00". */
    public static function duration(int $minutes): string
    {
        $sign = $minutes < 0 ? '−' : '';
        $minutes = abs($minutes);

        return $minutes < 60 ? "{$sign}{$minutes} min" : sprintf('%s%d h %02d', $sign, intdiv($minutes, 60), $minutes % 60);
    }

    /** For columns: 80 → "1 h 20", 45 → "45". */
    public static function column(int $minutes): string
    {
        $text = self::duration($minutes);

        return str_ends_with($text, ' min') ? substr($text, 0, -4) : $text;
    }

    /** How long after its date something ends: "5 h 00", from a day on "2 days". */
    public static function lateness(int $minutes): string
    {
        return $minutes < 1440 ? self::duration($minutes) : trans_choice('task.days_late', (int) round($minutes / 1440));
    }

    /** The wall clock in the person's zone, as 14:45 or 2:45 pm. */
    public static function clock(User $user, CarbonImmutable|int $moment): string
    {
        return self::ofDay($user, Zones::named($user->zone)->minuteOfDay(self::minute($moment)));
    }

    /** The same where there is little room, and half of the day is plain: 10:20. */
    public static function brief(User $user, CarbonImmutable|int $moment): string
    {
        return (string) preg_replace('/ [ap]m$/', '', self::clock($user, $moment));
    }

    /** The same, and 9 am for 9:00 am. */
    public static function hour(User $user, CarbonImmutable|int $moment): string
    {
        return (string) preg_replace('/:00(?= [ap]m$)/', '', self::clock($user, $moment));
    }

    /** A time of the day, likewise. */
    public static function ofDay(User $user, int $minute): string
    {
        if (! $user->twelve_hours) {
            return sprintf('%02d:%02d', intdiv($minute, 60), $minute % 60);
        }
        $hour = intdiv($minute, 60) % 24;

        return sprintf('%d:%02d %s', ($hour + 11) % 12 + 1, $minute % 60, $hour < 12 ? 'am' : 'pm');
    }

    /** Two times of a day, as 14:45–15:45 or 2:45–3:45 pm. */
    public static function between(User $user, int $from, int $to): string
    {
        return self::joined(self::ofDay($user, $from), self::ofDay($user, $to));
    }

    private static function joined(string $from, string $to): string
    {
        $half = substr($to, -3);

        return ($half === ' am' || $half === ' pm') && str_ends_with($from, $half) ? substr($from, 0, -3).'–'.$to : $from.'–'.$to;
    }

    /** As 14:45–15:45, with the day before it where the caller gives the present and it is another day. */
    public static function range(User $user, CarbonImmutable|int $start, CarbonImmutable|int $end, ?CarbonImmutable $now = null): string
    {
        $clock = self::joined(self::clock($user, $start), self::clock($user, $end));

        return $now === null ? $clock : self::dayUnlessToday($user, $start, $now).$clock;
    }

    /** As "Thu 12, 09:00"; only the time on the present day. */
    public static function when(User $user, CarbonImmutable|int $moment, CarbonImmutable $now): string
    {
        return self::dayUnlessToday($user, $moment, $now).self::clock($user, $moment);
    }

    /** As "Thu 12", in another month "2 Apr", far away "2 Apr 2027". */
    public static function day(User $user, CarbonImmutable|int $moment, CarbonImmutable $now): string
    {
        $day = self::localDay($user, $moment);
        $today = self::localDay($user, $now);
        $dates = Dates::of($user);

        return match (true) {
            abs($day->number - $today->number) < 31 && $day->month() === $today->month() => $dates->near($day),
            $day->year() === $today->year() || abs($day->number - $today->number) < self::NEAR_DAYS => $dates->ofMonth($day),
            default => $dates->withMonthAndYear($day),
        };
    }

    /** "Wed 18", or "Wed 18, 12:00" where something is due at a certain time. */
    public static function due(User $user, int $due, bool $hasTime, CarbonImmutable $now): string
    {
        return $hasTime ? self::when($user, $due, $now) : self::day($user, $due - 1, $now);
    }

    private static function dayUnlessToday(User $user, CarbonImmutable|int $moment, CarbonImmutable $now): string
    {
        return self::localDay($user, $moment)->equals(self::localDay($user, $now)) ? '' : self::day($user, $moment, $now).', ';
    }

    private static function localDay(User $user, CarbonImmutable|int $moment): LocalDay
    {
        return Zones::named($user->zone)->dayOf(self::minute($moment));
    }

    private static function minute(CarbonImmutable|int $moment): int
    {
        return is_int($moment) ? $moment : Moments::minute($moment);
    }
}
