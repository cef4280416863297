<?php

declare(strict_types=1);

namespace App\ICalendar;

use Nekto\Core\Recurrence\Instances;
use Nekto\Core\Recurrence\Rule;
use Nekto\Core\Recurrence\RuleRefused;
use Nekto\Core\Time\Offsets;

/** A zone by its own rules, as a VTIMEZONE describes it (RFC 5545, 3.6.5). */
final class DescribedZone
{
    /** 1 January 2050: no calendar plans further. */
    private const UNTIL = 2_524_608_000;

    /** Changes that a zone may have. */
    private const MOST = 2000;

    /**
     * Those that a text describes; null for one that cannot be read.
     *
     * @return array<string, Offsets|null> by TZID
     */
    public static function all(string $text): array
    {
        preg_match_all('/^BEGIN:VTIMEZONE\s*$(.*?)^END:VTIMEZONE\s*$/msi', $text, $found);
        $zones = [];
        foreach ($found[1] as $body) {
            $lines = preg_split('/\r\n|\n/', $body) ?: [];
            preg_match('/^TZID(?:;[^:\r\n]*)?:(.+?)\s*$/mi', $body, $name);
            $zones[trim($name[1] ?? '')] = self::read($lines);
        }

        return $zones;
    }

    /**
     * Null if it describes nothing that a clock could go by.
     *
     * @param  list<string>  $lines  of the VTIMEZONE
     */
    public static function read(array $lines): ?Offsets
    {
        $changes = [];
        $part = null;
        foreach ($lines as $text) {
            $line = Line::read($text);
            if ($line === null) {
                continue;
            }
            if ($line->name === 'BEGIN' && in_array(strtoupper($line->value), ['STANDARD', 'DAYLIGHT'], true)) {
                $part = ['RRULE' => [], 'RDATE' => []];
            } elseif ($line->name === 'END' && $part !== null && in_array(strtoupper($line->value), ['STANDARD', 'DAYLIGHT'], true)) {
                $changes += self::changes($part);
                $part = null;
                if (count($changes) > self::MOST) {
                    return null;
                }
            } elseif ($part !== null) {
                in_array($line->name, ['RRULE', 'RDATE'], true) ? $part[$line->name][] = $line->value : $part[$line->name] ??= $line->value;
            }
        }
        if ($changes === []) {
            return null;
        }
        ksort($changes);
        $first = reset($changes);

        return new Offsets([(int) array_key_first($changes) - 1, ...array_keys($changes)], [$first[0], ...array_column($changes, 1)]);
    }

    /**
     * @param  array<string, string|list<string>>  $part
     * @return array<int, array{int, int}> offset before and after, by the moment in UTC
     */
    private static function changes(array $part): array
    {
        $start = self::local($part['DTSTART'] ?? '');
        $before = self::offset($part['TZOFFSETFROM'] ?? '');
        $after = self::offset($part['TZOFFSETTO'] ?? '');
        if ($start === null || $before === null || $after === null) {
            return [];
        }
        $locals = [$start];
        foreach ((array) $part['RRULE'] as $text) {
            try {
                $rule = Rule::read($text);
                $until = $rule->until === null || ! $rule->untilIsUtc ? $rule->until : $rule->until + $before;
                foreach ((new Instances($rule, $start, $until))->between($start, self::UNTIL) as $local) {
                    $locals[] = $local;
                    if (count($locals) > self::MOST) {
                        return [];
                    }
                }
            } catch (RuleRefused) {
                // what can be read of the zone holds
            }
        }
        foreach ((array) $part['RDATE'] as $dates) {
            foreach (explode(',', $dates) as $date) {
                ($local = self::local(explode('/', $date)[0])) === null || $locals[] = $local;
            }
        }

        return array_fill_keys(array_map(static fn (int $local): int => $local - $before, $locals), [$before, $after]);
    }

    /** @param  string|list<string>  $value */
    private static function local(string|array $value): ?int
    {
        return is_string($value) && preg_match('/^(\d{4})(\d{2})(\d{2})T(\d{2})(\d{2})(\d{2})/', trim($value), $part) === 1
            ? (int) gmmktime((int) $part[4], (int) $part[5], (int) $part[6], (int) $part[2], (int) $part[3], (int) $part[1])
            : null;
    }

    /** @param  string|list<string>  $value */
    private static function offset(string|array $value): ?int
    {
        return is_string($value) && preg_match('/^([+-]?)(\d{2}):?(\d{2}):?(\d{2})?$/', trim($value), $part) === 1
            ? ($part[1] === '-' ? -1 : 1) * (3600 * (int) $part[2] + 60 * (int) $part[3] + (int) ($part[4] ?? 0))
            : null;
    }
}
