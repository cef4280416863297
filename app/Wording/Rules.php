<?php

declare(strict_types=1);

namespace App\Wording;

use Nekto\Core\Recurrence\MonthDay;

/** Rules of repeating tasks in words. */
final class Rules
{
    /** "every 2 weeks on Tue", "every month on the last Fri". */
    public static function inWords(string $rule): string
    {
        $part = [];
        foreach (explode(';', $rule) as $pair) {
            [$name, $value] = [...explode('=', $pair, 2), ''];
            $part[$name] = $value;
        }
        $words = 'every '.self::counted((int) ($part['INTERVAL'] ?? 1), __('rules.units')[$part['FREQ'] ?? ''] ?? 'day');
        $monthDays = isset($part['BYMONTHDAY']) ? MonthDay::meant($part['BYMONTHDAY'], $part['BYSETPOS'] ?? null) : [];
        $monthDay = count($monthDays) === 1 ? $monthDays[0] : null;
        if (($part['BYDAY'] ?? '') === 'MO,TU,WE,TH,FR') {
            $words = isset($part['BYSETPOS']) ? "{$words} on the ".(__('rules.places')[(int) $part['BYSETPOS']] ?? $part['BYSETPOS'].'th').' weekday' : 'every weekday';
        } elseif (isset($part['BYDAY'])) {
            $words .= ' on '.implode(', ', array_map(static fn (string $day): string => ((int) $day === 0 ? '' : 'the '.(__('rules.places')[(int) $day] ?? (int) $day.'th').' ').(__('rules.days')[substr($day, -2)] ?? $day), explode(',', $part['BYDAY'])));
        }
        if ($monthDay !== null && isset($part['BYMONTH'])) {
            $words .= ' on '.($monthDay === -1 ? 'the last day of' : $monthDay).' '.(__('rules.months')[(int) $part['BYMONTH']] ?? '');
        } elseif (isset($part['BYMONTHDAY'])) {
            $words .= $monthDay === null ? ' on the '.self::ordinals($monthDays) : ' on '.($monthDay === -1 ? 'the last day' : "day {$monthDay}");
        }
        if (isset($part['UNTIL'])) {
            $words .= ' until '.(int) substr($part['UNTIL'], 6, 2).' '.(__('rules.months')[(int) substr($part['UNTIL'], 4, 2)] ?? '').' '.substr($part['UNTIL'], 0, 4);
        }

        return $words.(isset($part['COUNT']) ? ", {$part['COUNT']} times" : '');
    }

    /** "P3D" as "3 days". */
    public static function afterDone(string $duration): string
    {
        return preg_match('/^P(\d+)([DWMY])$/D', $duration, $part) === 1 ? ($part[1] === '1' ? 'a '.__('rules.units')[$part[2]] : self::counted((int) $part[1], __('rules.units')[$part[2]])) : $duration;
    }

    /**
     * "1st and 15th".
     *
     * @param  list<int>  $days
     */
    private static function ordinals(array $days): string
    {
        $named = array_map(static fn (int $day): string => $day === -1 ? 'last day' : $day.(in_array($day % 100, [11, 12, 13], true) ? 'th' : ([1 => 'st', 2 => 'nd', 3 => 'rd'][$day % 10] ?? 'th')), $days);

        usort($named, static fn (string $a, string $b): int => [$a === 'last day', (int) $a] <=> [$b === 'last day', (int) $b]);

        return implode(', ', array_slice($named, 0, -1)).' and '.end($named);
    }

    private static function counted(int $count, string $unit): string
    {
        return $count === 1 ? $unit : "{$count} {$unit}s";
    }
}
