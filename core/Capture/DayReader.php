<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/** Reads the day that a phrase such as "friday", "14 march" or "end of month" names, seen from today. */
final readonly class DayReader
{
    private const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

    private const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    private const MONTH = 'jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?';

    private const WEEKDAY = 'mon(?:day)?|tue(?:s(?:day)?)?|wed(?:nesday)?|thu(?:r(?:s(?:day)?)?)?|fri(?:day)?|sat(?:urday)?|sun(?:day)?';

    /** A pattern without delimiters or named groups that matches every phrase read() can be given. */
    public const PHRASE = 'today|tomorrow|(?:next\s+)?(?:'.self::WEEKDAY.')|(?:the\s+)?end\s+of\s+(?:the\s+)?(?:week|month|year)'
        .'|\d{4}-\d{1,2}-\d{1,2}|\d{1,2}[\/.]\d{1,2}(?:[\/.]\d{4})?'
        .'|\d{1,2}(?:st|nd|rd|th)?\s+(?:of\s+)?(?:'.self::MONTH.')(?:\s+\d{4})?|(?:'.self::MONTH.')\s+\d{1,2}(?:st|nd|rd|th)?(?:,?\s+\d{4})?';

    public function __construct(private LocalDay $today) {}

    /**
     * A weekday is the next one after today; a date without a year the next one from today on.
     *
     * @throws InvalidTime if there is no such date, as 31 February
     */
    public function read(string $phrase): LocalDay
    {
        $phrase = (string) preg_replace('/\s+/', ' ', strtolower(trim($phrase)));
        if ($phrase === 'today') {
            return $this->today;
        }
        if ($phrase === 'tomorrow') {
            return $this->today->plusDays(1);
        }
        if (preg_match('/end of (?:the )?(week|month|year)$/D', $phrase, $part) === 1) {
            return $this->endOf($part[1]);
        }
        if (preg_match('/^(next )?('.self::WEEKDAY.')$/D', $phrase, $part) === 1) {
            return $this->weekday((int) array_search(substr($part[2], 0, 3), self::WEEKDAYS, true) + 1, $part[1] !== '');
        }

        return $this->date($phrase);
    }

    private function endOf(string $period): LocalDay
    {
        return match ($period) {
            'week' => $this->today->plusDays(7 - $this->today->weekday()),
            'month' => $this->today->month() === 12
                ? LocalDay::of($this->today->year(), 12, 31)
                : LocalDay::of($this->today->year(), $this->today->month() + 1, 1)->plusDays(-1),
            default => LocalDay::of($this->today->year(), 12, 31),
        };
    }

    private function weekday(int $weekday, bool $ofNextWeek): LocalDay
    {
        if ($ofNextWeek) {
            return $this->today->plusDays(7 - $this->today->weekday() + $weekday);
        }

        return $this->today->plusDays(($weekday - $this->today->weekday() + 6) % 7 + 1);
    }

    private function date(string $phrase): LocalDay
    {
        if (preg_match('/^(\d{4})-(\d{1,2})-(\d{1,2})$/D', $phrase, $part) === 1) {
            return LocalDay::of((int) $part[1], (int) $part[2], (int) $part[3]);
        }
        if (preg_match('/^(\d{1,2})[\/.](\d{1,2})(?:[\/.](\d{4}))?$/D', $phrase, $part) === 1) {
            return $this->inYear((int) ($part[3] ?? 0), (int) $part[2], (int) $part[1]);
        }
        if (preg_match('/^(\d{1,2})(?:st|nd|rd|th)? (?:of )?('.self::MONTH.')(?: (\d{4}))?$/D', $phrase, $part) === 1) {
            return $this->inYear((int) ($part[3] ?? 0), self::month($part[2]), (int) $part[1]);
        }
        if (preg_match('/^('.self::MONTH.') (\d{1,2})(?:st|nd|rd|th)?(?:,? (\d{4}))?$/D', $phrase, $part) === 1) {
            return $this->inYear((int) ($part[3] ?? 0), self::month($part[1]), (int) $part[2]);
        }
        throw InvalidTime::notADate($phrase);
    }

    private static function month(string $word): int
    {
        return (int) array_search(substr($word, 0, 3), self::MONTHS, true) + 1;
    }

    /** Without a year (0): this year's or, once that has passed, the next year's; for 29 February up to four years on. */
    private function inYear(int $year, int $month, int $day): LocalDay
    {
        if ($year !== 0) {
            return LocalDay::of($year, $month, $day);
        }
        $last = $month === 2 && $day === 29 ? 8 : 1;
        for ($i = 0; $i <= $last; $i++) {
            if (checkdate($month, $day, $this->today->year() + $i)) {
                $date = LocalDay::of($this->today->year() + $i, $month, $day);
                if ($date->number >= $this->today->number) {
                    return $date;
                }
            }
        }
        throw InvalidTime::notADate("{$day}/{$month}");
    }
}
