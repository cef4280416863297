<?php

declare(strict_types=1);

namespace Nekto\Core\Recurrence;

/** The rule of what comes back, where all of it moves by some days. */
final class MovedRule
{
    /**
     * The weekdays of the rule go along: each Thursday, a day later, is each Friday. Null where it names its days in another
     * way, as dates of a month, which do not move together.
     *
     * @param  int  $days  later; negative: earlier
     *
     * @throws RuleRefused if it is outside the grammar
     */
    public static function by(string $rule, int $days): ?string
    {
        $read = Rule::read($rule);
        if ([...$read->byMonthDay, ...$read->byYearDay, ...$read->byWeekNo, ...$read->byMonth, ...$read->bySetPos, ...array_filter(array_column($read->byDay, 0))] !== []) {
            return null;
        }
        $weekdays = array_map(static fn (array $day): int => (($day[1] - 1 + $days) % 7 + 7) % 7 + 1, $read->byDay);
        sort($weekdays);

        return (string) preg_replace('/BYDAY=[^;]*/i', 'BYDAY='.implode(',', array_map(Rule::weekday(...), $weekdays)), $rule);
    }
}
