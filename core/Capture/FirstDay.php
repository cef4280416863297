<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Time\LocalDay;

/** The first day of a rule that RepeatReader made. */
final class FirstDay
{
    private const DAYS = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];

    /** The first from a day on; that day itself if the rule names no day. */
    public static function of(string $rule, LocalDay $from): LocalDay
    {
        $parts = [];
        foreach (explode(';', $rule) as $pair) {
            [$name, $value] = [...explode('=', $pair, 2), ''];
            $parts[$name] = $value;
        }
        for ($i = 0; $i < 1500; $i++) {
            $day = $from->plusDays($i);
            if (self::matches($parts, $day)) {
                return $day;
            }
        }

        return $from;
    }

    /** @param  array<string, string>  $parts */
    private static function matches(array $parts, LocalDay $day): bool
    {
        if (isset($parts['BYMONTH']) && $day->month() !== (int) $parts['BYMONTH']) {
            return false;
        }
        $last = DayReader::lastOfMonth($day)->dayOfMonth();
        if (isset($parts['BYMONTHDAY']) && $day->dayOfMonth() !== ((int) $parts['BYMONTHDAY'] === -1 ? $last : (int) $parts['BYMONTHDAY'])) {
            return false;
        }
        if (! isset($parts['BYDAY'])) {
            return true;
        }
        $place = (int) ($parts['BYSETPOS'] ?? 0);
        foreach (explode(',', $parts['BYDAY']) as $name) {
            if (self::DAYS[$day->weekday() - 1] !== substr($name, -2)) {
                continue;
            }
            $nth = (int) $name;
            if ($place !== 0) {
                return self::workday($day, $place, $last);
            }

            return $nth === 0 || ($nth > 0 ? intdiv($day->dayOfMonth() - 1, 7) + 1 === $nth : $day->dayOfMonth() > $last - 7);
        }

        return false;
    }

    /** True if it is that working day of its month. */
    private static function workday(LocalDay $day, int $place, int $last): bool
    {
        $count = 0;
        $step = $place > 0 ? 1 : -1;
        $at = $day->plusDays(($place > 0 ? 1 : $last) - $day->dayOfMonth());
        while (true) {
            $count += $at->weekday() <= 5 ? 1 : 0;
            if ($at->equals($day)) {
                return $count === abs($place);
            }
            $at = $at->plusDays($step);
        }
    }
}
