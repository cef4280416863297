<?php

declare(strict_types=1);

namespace Nekto\Core\Hours;

/** A stretch of opening time by the wall clock, within one day; 1440 stands for 24:00. */
final readonly class Stretch
{
    /**
     * @param  int  $from  minutes since midnight
     * @param  int  $to  minutes since midnight, at most 1440
     *
     * @throws InvalidHours if it does not end after it starts or lies outside the day
     */
    public function __construct(public int $from, public int $to)
    {
        $from >= 0 && $to > $from && $to <= 1440 || throw InvalidHours::endNotAfterStart($from, $to);
    }

    /** @throws InvalidHours if a text is no clock time, or the second is not after the first */
    public static function fromClock(string $from, string $to): self
    {
        return new self(self::minutes($from), self::minutes($to));
    }

    /** "09:30" → 570. @throws InvalidHours if the text is no clock time from 00:00 to 24:00 */
    public static function minutes(string $clock): int
    {
        preg_match('/^(\d{2}):([0-5]\d)$/D', $clock, $part) === 1 || throw InvalidHours::notAClockTime($clock);
        $minutes = 60 * (int) $part[1] + (int) $part[2];

        return $minutes <= 1440 ? $minutes : throw InvalidHours::notAClockTime($clock);
    }

    /** 570 → "09:30". */
    public static function clock(int $minutes): string
    {
        return sprintf('%02d:%02d', intdiv($minutes, 60), $minutes % 60);
    }

    /** Minutes by the wall clock. */
    public function length(): int
    {
        return $this->to - $this->from;
    }
}
