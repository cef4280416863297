<?php

declare(strict_types=1);

namespace Nekto\Core\Recurrence;

/** A day of the month as people mean it: where a month is too short for it, its last day. A calendar's own rule would leave that month out. */
final class MonthDay
{
    /**
     * The part of a rule: "BYMONTHDAY=15", for the 30th "BYMONTHDAY=28,29,30;BYSETPOS=-1".
     *
     * @param  int  $day  1 to 31, or negative from the end
     */
    public static function rule(int $day): string
    {
        if ($day === 31) {
            return 'BYMONTHDAY=-1';
        }

        return 'BYMONTHDAY='.($day <= 28 ? $day : implode(',', range(28, $day)).';BYSETPOS=-1');
    }

    /**
     * A rule that comes back on the day of the month it began, said so that no month is left out.
     *
     * @param  string  $rule  as in RFC 5545
     * @param  int  $month  in which it begins
     * @param  int  $day  of that month
     */
    public static function kept(string $rule, int $month, int $day): string
    {
        $open = preg_match('/FREQ=(MONTHLY|YEARLY)/', $rule, $found) === 1 && ! str_contains($rule, ';BY');
        if (! $open || $day <= 28 || ($found[1] === 'YEARLY' && $month !== 2)) {
            return $rule;
        }
        $by = $found[1] === 'YEARLY' ? "BYMONTH={$month};".self::rule($day) : self::rule($day);

        return (string) preg_replace('/^(FREQ=\w+(?:;INTERVAL=\d+)?)/', "$1;{$by}", $rule);
    }

    /** The day that such a part of a rule means; null where it means several. */
    public static function meant(string $monthDays, ?string $setPosition): ?int
    {
        $days = array_map(intval(...), explode(',', $monthDays));

        return match (true) {
            count($days) === 1 => $days[0],
            $setPosition === '-1' && $days === range(28, end($days)) => end($days),
            default => null,
        };
    }
}
