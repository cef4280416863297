<?php

declare(strict_types=1);

namespace App\ICalendar;

use Sabre\VObject\TimeZoneUtil;

/**
 * Finds the IANA zone that a calendar means by a TZID of its own: by name, by the names other systems use, or by the
 * offsets that the file's VTIMEZONE gives.
 */
final class ZoneResolver
{
    /** @var array<string, string|null> */
    private array $known = [];

    /** @param  array<string, list<string>>  $zones  VTIMEZONE lines by TZID */
    public function __construct(private readonly \DateTimeZone $home, private readonly array $zones) {}

    /** Null if nothing tells which zone is meant. */
    public function resolve(string $tzid): ?string
    {
        return $this->known[$tzid] ??= $this->byName($tzid) ?? $this->byOffsets($this->zones[$tzid] ?? []);
    }

    private function byName(string $tzid): ?string
    {
        try {
            $name = TimeZoneUtil::getTimeZone($tzid, null, true)->getName();

            return preg_match('/^[+-]\d/', $name) === 1 ? null : $name;
        } catch (\Throwable) {
            return null;
        }
    }

    /**
     * A zone with the same standard and daylight offsets in a recent year, the person's own if it has them.
     *
     * @param  list<string>  $lines
     */
    private function byOffsets(array $lines): ?string
    {
        $offsets = ['STANDARD' => null, 'DAYLIGHT' => null];
        $part = null;
        foreach ($lines as $line) {
            if (preg_match('/^BEGIN:(STANDARD|DAYLIGHT)$/i', $line, $match) === 1) {
                $part = strtoupper($match[1]);
            } elseif ($part !== null && preg_match('/^TZOFFSETTO:([+-])(\d{2})(\d{2})/i', $line, $match) === 1) {
                $offsets[$part] = ($match[1] === '-' ? -1 : 1) * (3600 * (int) $match[2] + 60 * (int) $match[3]);
            }
        }
        if ($offsets['STANDARD'] === null) {
            return null;
        }
        $wanted = [$offsets['STANDARD'], $offsets['DAYLIGHT'] ?? $offsets['STANDARD']];
        sort($wanted);
        foreach ([$this->home->getName(), ...\DateTimeZone::listIdentifiers()] as $name) {
            $zone = new \DateTimeZone($name);
            $has = [$zone->getOffset(new \DateTimeImmutable('2025-01-15')), $zone->getOffset(new \DateTimeImmutable('2025-07-15'))];
            sort($has);
            if ($has === $wanted) {
                return $name;
            }
        }

        return null;
    }
}
