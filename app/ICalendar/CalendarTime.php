<?php

declare(strict_types=1);

namespace App\ICalendar;

/** A date, or a date with a time, as a calendar file writes it (RFC 5545, 3.3.4 and 3.3.5). */
final readonly class CalendarTime
{
    /** @param  string|null  $time  "H:i"; null for a whole day */
    private function __construct(public string $date, public ?string $time, public bool $isUtc) {}

    /** Null if it is none, or no calendar has that day. */
    public static function of(string $value): ?self
    {
        if (preg_match('/^(\d{4})(\d{2})(\d{2})(?:T([01]\d|2[0-3])([0-5]\d)([0-5]\d|60)(Z?))?$/D', $value, $part) !== 1 || ! checkdate((int) $part[2], (int) $part[3], (int) $part[1])) {
            return null;
        }

        return new self("{$part[1]}-{$part[2]}-{$part[3]}", isset($part[4]) ? "{$part[4]}:{$part[5]}" : null, ($part[7] ?? '') === 'Z');
    }

    /** Seconds since 1970-01-01T00:00 by the wall clock; of a day its midnight. */
    public function local(): int
    {
        return (int) strtotime("{$this->date} ".($this->time ?? '00:00').' UTC');
    }
}
