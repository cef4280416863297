<?php

declare(strict_types=1);

namespace Nekto\Core\Recurrence;

/**
 * How long an instance lasts. Days and weeks of a DURATION, and those of a whole day's DTEND, are days of the calendar; hours
 * and less, and the length that a DTEND gives, are exact (3.3.6, 3.8.5.3).
 */
final readonly class Length
{
    /**
     * @param  int  $days  by the calendar
     * @param  int  $seconds  exactly, after those
     */
    public function __construct(public int $days, public int $seconds) {}

    /** @return int the end of an instance that begins then, UTC */
    public function end(Moment $start): int
    {
        return ($this->days === 0 ? $start->utc() : $start->at($start->local + 86_400 * $this->days)->utc()) + $this->seconds;
    }

    /** A DURATION as the standard writes it (RFC 5545, 3.3.6); null if it is none. */
    public static function read(string $duration): ?self
    {
        if (preg_match('/^([+-]?)P(?:(\d+)W)?(?:(\d+)D)?(?:T(?:(\d+)H)?(?:(\d+)M)?(?:(\d+)S)?)?$/iD', trim($duration), $part) !== 1 || preg_match('/\d/', $duration) !== 1) {
            return null;
        }
        $sign = $part[1] === '-' ? -1 : 1;

        return new self($sign * (7 * (int) ($part[2] ?? 0) + (int) ($part[3] ?? 0)), $sign * (3600 * (int) ($part[4] ?? 0) + 60 * (int) ($part[5] ?? 0) + (int) ($part[6] ?? 0)));
    }
}
