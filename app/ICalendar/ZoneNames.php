<?php

declare(strict_types=1);

namespace App\ICalendar;

use Nekto\Core\Time\Offsets;
use Sabre\VObject\TimeZoneUtil;

/** Zones by name: those of the database and their older names, names that exporters use, offsets, paths that end in a zone. */
final class ZoneNames
{
    /** @var array<string, string|false> */
    private static array $known = [];

    /** The name of a zone PHP knows, or an offset as "+01:00"; null if the name tells nothing. */
    public static function resolve(string $name): ?string
    {
        $known = self::$known[$name] ??= self::find(trim($name)) ?? false;

        return $known === false ? null : $known;
    }

    public static function clock(string $name): ?Offsets
    {
        $known = self::resolve($name);

        return match (true) {
            $known === null => null,
            preg_match('/^([+-])(\d{2}):(\d{2})$/', $known, $part) === 1 => Offsets::fixed(($part[1] === '-' ? -1 : 1) * (3600 * (int) $part[2] + 60 * (int) $part[3])),
            default => Offsets::of(new \DateTimeZone($known)),
        };
    }

    private static function find(string $name): ?string
    {
        if (preg_match('/^(?:(?:UTC|GMT|Z)|\(?(?:UTC|GMT)\)?)$/i', $name) === 1) {
            return 'UTC';
        }
        if (preg_match('/^\(?(?:UTC|GMT)?\s*([+-])(\d{1,2}):?([0-5]\d)?\)?$/i', $name, $part) === 1 && (int) $part[2] <= 14) {
            return sprintf('%s%02d:%s', $part[1], $part[2], $part[3] ?? '00');
        }
        for ($rest = ltrim($name, '/'); $rest !== ''; $rest = str_contains($rest, '/') ? substr($rest, strpos($rest, '/') + 1) : '') {
            $zone = self::ofDatabase($rest);
            if ($zone !== null && ($rest === $name || str_contains($rest, '/'))) {
                return $zone;
            }
        }
        try {
            $zone = TimeZoneUtil::getTimeZone($name, null, true)->getName();

            return preg_match('/^[+-]\d/', $zone) === 1 ? null : $zone;
        } catch (\Throwable) {
            return null;
        }
    }

    private static function ofDatabase(string $name): ?string
    {
        if (preg_match('/^[A-Za-z][A-Za-z0-9_+\/-]*$/', $name) !== 1) {
            return null;
        }
        static $all = null;
        $all ??= array_combine(array_map(strtolower(...), \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC)), \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC));

        return $all[strtolower($name)] ?? null;
    }
}
