<?php

declare(strict_types=1);

namespace App\Wording;

/** Rules of repeating tasks in words. */
final class Rules
{
    private const UNITS = ['DAILY' => 'day', 'WEEKLY' => 'week', 'MONTHLY' => 'month', 'YEARLY' => 'year', 'D' => 'day', 'W' => 'week', 'M' => 'month', 'Y' => 'year'];

    private const DAYS = ['MO' => 'Mon', 'TU' => 'Tue', 'WE' => 'Wed', 'TH' => 'Thu', 'FR' => 'Fri', 'SA' => 'Sat', 'SU' => 'Sun'];

    private const PLACES = [-1 => 'last', 1 => 'first', 2 => 'second', 3 => 'third', 4 => 'fourth', 5 => 'fifth'];

    private const MONTHS = [1 => 'January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];

    /** "every 2 weeks on Tue", "every month on the last Fri". */
    public static function inWords(string $rule): string
    {
        $part = [];
        foreach (explode(';', $rule) as $pair) {
            [$name, $value] = [...explode('=', $pair, 2), ''];
            $part[$name] = $value;
        }
        $words = 'every '.self::counted((int) ($part['INTERVAL'] ?? 1), self::UNITS[$part['FREQ'] ?? ''] ?? 'day');
        if (($part['BYDAY'] ?? '') === 'MO,TU,WE,TH,FR') {
            $words = isset($part['BYSETPOS']) ? "{$words} on the ".(self::PLACES[(int) $part['BYSETPOS']] ?? $part['BYSETPOS'].'th').' weekday' : 'every weekday';
        } elseif (isset($part['BYDAY'])) {
            $words .= ' on '.implode(', ', array_map(static fn (string $day): string => ((int) $day === 0 ? '' : 'the '.(self::PLACES[(int) $day] ?? (int) $day.'th').' ').(self::DAYS[substr($day, -2)] ?? $day), explode(',', $part['BYDAY'])));
        }
        if (isset($part['BYMONTHDAY'])) {
            $day = $part['BYMONTHDAY'] === '-1' ? 'the last day' : $part['BYMONTHDAY'].'.';
            $words .= isset($part['BYMONTH']) ? ' on '.rtrim($day, '.').' '.(self::MONTHS[(int) $part['BYMONTH']] ?? '') : ' on '.(str_ends_with($day, '.') ? 'day '.rtrim($day, '.') : $day);
        }
        if (isset($part['UNTIL'])) {
            $words .= ' until '.(int) substr($part['UNTIL'], 6, 2).' '.(self::MONTHS[(int) substr($part['UNTIL'], 4, 2)] ?? '').' '.substr($part['UNTIL'], 0, 4);
        }

        return $words.(isset($part['COUNT']) ? ", {$part['COUNT']} times" : '');
    }

    /** "P3D" as "3 days". */
    public static function afterDone(string $duration): string
    {
        return preg_match('/^P(\d+)([DWMY])$/D', $duration, $part) === 1 ? ($part[1] === '1' ? 'a '.self::UNITS[$part[2]] : self::counted((int) $part[1], self::UNITS[$part[2]])) : $duration;
    }

    private static function counted(int $count, string $unit): string
    {
        return $count === 1 ? $unit : "{$count} {$unit}s";
    }
}
