<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\User;
use App\Planning\RowMapper;
use Carbon\CarbonImmutable;

/** Times and durations as they are said on the screens. */
final class Times
{
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

    /** The wall clock in the person's zone, as 14:45. */
    public static function clock(User $user, CarbonImmutable|int $moment): string
    {
        return $user->local(is_int($moment) ? RowMapper::moment($moment) : $moment)->format('H:i');
    }

    /** As 14:45–15:45, with the day before it where the caller gives the present and it is another day. */
    public static function range(User $user, CarbonImmutable|int $start, CarbonImmutable|int $end, ?CarbonImmutable $now = null): string
    {
        $clock = self::clock($user, $start).'–'.self::clock($user, $end);

        return $now === null ? $clock : self::dayUnlessToday($user, $start, $now).$clock;
    }

    /** As "Thu 12, 09:00"; only the time on the present day. */
    public static function when(User $user, CarbonImmutable|int $moment, CarbonImmutable $now): string
    {
        return self::dayUnlessToday($user, $moment, $now).self::clock($user, $moment);
    }

    /** As "Thu 12", in another month "2 Apr", in another year "2 Apr 2027". */
    public static function day(User $user, CarbonImmutable|int $moment, CarbonImmutable $now): string
    {
        $day = $user->local(is_int($moment) ? RowMapper::moment($moment) : $moment);
        $today = $user->local($now);

        return match (true) {
            $day->format('Y-m') === $today->format('Y-m') => $day->format('D j'),
            $day->format('Y') === $today->format('Y') || $day->diffInDays($today, true) < 180 => $day->format('j M'),
            default => $day->format('j M Y'),
        };
    }

    private static function dayUnlessToday(User $user, CarbonImmutable|int $moment, CarbonImmutable $now): string
    {
        $day = $user->local(is_int($moment) ? RowMapper::moment($moment) : $moment);

        return $day->isSameDay($user->local($now)) ? '' : self::day($user, $moment, $now).', ';
    }
}
