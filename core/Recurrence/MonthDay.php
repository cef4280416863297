<?php

declare(strict_types=1);

namespace Nekto\Core\Recurrence;

/** A day of the month as people mean it: where a month is too short for it, its last day. A calendar's own rule would leave that month out. */
final class MonthDay
{
    /**
     * The part of a rule: "BYMONTHDAY=15"; for the 30th "BYMONTHDAY=28,29,30;BYSETPOS=-1", for the 15th and 30th
     * "BYMONTHDAY=15,28,29,30;BYSETPOS=1,-1". The 31st is the last day of every month.
     *
     * @param  int  ...$days  1 to 31, or negative from the end
     */
    public static function rule(int ...$days): string
    {
        $days = array_values(array_unique(array_map(static fn (int $day): int => $day === 31 ? -1 : $day, $days)));
        usort($days, static fn (int $a, int $b): int => [$a < 0, $a] <=> [$b < 0, $b]);
        $last = end($days);
        $before = array_slice($days, 0, -1);
        if ($last <= 28 || ($before !== [] && max($before) > 28)) {
            return 'BYMONTHDAY='.implode(',', $days);
        }

        return 'BYMONTHDAY='.implode(',', array_unique([...$before, ...range(28, $last)])).';BYSETPOS='.implode(',', [...array_keys(array_fill(1, count($before), 0)), -1]);
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

    /** @return list<int> the days that such a part of a rule means: "15,28,29,30" with the positions "1,-1" the 15th and the 30th */
    public static function meant(string $monthDays, ?string $setPositions): array
    {
        $days = array_map(intval(...), explode(',', $monthDays));
        $meant = $setPositions === null ? $days : [...array_slice($days, 0, substr_count($setPositions, ',')), $days[count($days) - 1]];

        return $setPositions !== null && self::rule(...$meant) === "BYMONTHDAY={$monthDays};BYSETPOS={$setPositions}" ? $meant : $days;
    }
}
