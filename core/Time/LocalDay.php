<?php

declare(strict_types=1);

namespace Nekto\Core\Time;

/** A date of the proleptic Gregorian calendar, without a zone. */
final readonly class LocalDay
{
    /** @param  int  $number  days since 1970-01-01 */
    public function __construct(public int $number) {}

    /** @throws InvalidTime if there is no such date */
    public static function of(int $year, int $month, int $day): self
    {
        $year >= 1 && $year <= 9999 && checkdate($month, $day, $year)
            || throw InvalidTime::notADate("{$year}-{$month}-{$day}");

        return new self(intdiv(gmmktime(0, 0, 0, $month, $day, $year) ?: 0, 86400));
    }

    /** @throws InvalidTime if the text is no date like 2026-03-11 */
    public static function fromString(string $text): self
    {
        preg_match('/^(\d{4})-(\d{2})-(\d{2})$/D', $text, $part) === 1 || throw InvalidTime::notADate($text);

        return self::of((int) $part[1], (int) $part[2], (int) $part[3]);
    }

    public function plusDays(int $days): self
    {
        return new self($this->number + $days);
    }

    /**
     * The last such day of the week up to this one: of weeks that begin on it, the first day of this one's.
     *
     * @param  int  $weekday  1 Monday to 7 Sunday
     */
    public function backTo(int $weekday): self
    {
        return $this->plusDays(-(($this->weekday() - $weekday + 7) % 7));
    }

    /** 1 Monday to 7 Sunday. */
    public function weekday(): int
    {
        return Calendar::weekday($this->number);
    }

    /** "mon" to "sun". */
    public function weekdayKey(): string
    {
        return ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'][$this->weekday() - 1];
    }

    public function year(): int
    {
        return Calendar::date($this->number)[0];
    }

    public function month(): int
    {
        return Calendar::date($this->number)[1];
    }

    /** 1 to 31. */
    public function dayOfMonth(): int
    {
        return Calendar::date($this->number)[2];
    }

    public function equals(self $other): bool
    {
        return $this->number === $other->number;
    }

    /** Like 2026-03-11. */
    public function asString(): string
    {
        return gmdate('Y-m-d', $this->number * 86400);
    }
}
