<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/** Reads the day that a phrase such as "friday", "14 march" or "end of month" names, seen from today. */
final readonly class DayReader
{
    public const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    private const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

    public const MONTH = '(?:jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)';

    public const WEEKDAY = '(?:mon(?:day)?|tue(?:s(?:day)?)?|wed(?:nesday|ensday|nsday|s)?|thu(?:r(?:s(?:day)?)?)?|fri(?:day)?|sat(?:urday)?|sun(?:day)?)';

    /** Also as it is typed in haste. */
    public const TOMORROW = '(?:tomm?orr?ow|2morrow|tmr?w|tmr)';

    private const NUMBER_DATE = '\d{1,2}\/\d{1,2}(?:\/(?:\d{4}|\d{2}))?(?![\w\/])|\d{1,2}-\d{1,2}-\d{4}|\d{1,2}\.\d{1,2}\.(?:\d{4}|\d{2}(?!\d))?|\d{1,2}\.\d{1,2}(?!\w)';

    /** A day of the month by its number alone. */
    public const NUMBER = '\d{1,2}(?:st|nd|rd|th)';

    /** Dates with a month's name, or as 2026-03-14. */
    public const DATE = '\d{4}-\d{1,2}-\d{1,2}|(?:the\s+)?\d{1,2}(?:(?:st|nd|rd|th)?\s+(?:of\s+)?|st|nd|rd|th|)'.self::MONTH.'(?!\w)(?:,?\s+\d{4})?|'.self::MONTH.'\s+(?:the\s+)?\d{1,2}(?:st|nd|rd|th)?(?![\d:])(?:,?\s+\d{4})?';

    /** Days that are named from today. */
    public const NEAR = 'today|tonight|(?:the\s+)?day\s+after\s+tomorrow|'.self::TOMORROW.'(?:\s+week(?=\W|$)(?![\'’-]\w))?|in\s+'.Numbers::COUNT.'\s+(?:days?|weeks?|months?|years?|fortnights?)(?:[\'’]s?\s+time)?'
        .'|'.Numbers::COUNT.'\s+(?:days?|weeks?|months?)\s+(?:from|on)\s+(?:now|today|'.self::TOMORROW.'|'.self::WEEKDAY.')|a\s+week\s+(?:today|'.self::TOMORROW.')';

    /** A weekday, also with its date. */
    public const ON_WEEKDAY = '(?:(?:next|this|coming)\s+)?'.self::WEEKDAY.'(?:\.(?=\s))?(?:,?\s+(?:(?:the\s+)?'.self::NUMBER.'|'.self::DATE.'|\d{1,2}\/\d{1,2}(?:\/(?:\d{4}|\d{2}))?(?![\w\/])|\d{1,2}\.\d{1,2}\.(?:\d{4}|\d{2}(?!\d))?|\d{1,2}\.\d(?!\w)|[1-3]?\d(?=\s*(?:[,;!?)]|\.(?!\d)|$|'.Phrase::TAKEN.')))|\s+week(?=\W|$)(?![\'’-]\w|\s+(?:\d|of\b)))?';

    /** A day within a period, or at its end. */
    public const OF_PERIOD = '(?:eo[dwmy]|cob)(?!\w)|(?:the\s+)?(?:first|second|third|fourth|last)\s+'.self::WEEKDAY.'\s+(?:of|in)\s+(?:(?:the|this|next)\s+month|'.self::MONTH.')|mid[\s-]'.self::MONTH.'|(?:the\s+)?middle\s+of\s+'.self::MONTH.'|(?:the\s+)?close\s+of\s+(?:day|business)|(?:the\s+)?(?:very\s+)?(?:end|start|beginning|(?:first|last)\s+day)\s+of\s+(?:(?:the|this|next)\s+)?(?:day|today|business|week|month|quarter|year|'.self::MONTH.')';

    private const PERIOD = '(?:the\s+|this\s+)?weekend|next\s+(?:weekend|week|month|quarter|year)';

    /** A pattern without delimiters or named groups that matches every phrase read() can be given. */
    public const PHRASE = self::NEAR.'|'.self::OF_PERIOD.'|'.self::PERIOD.'|'.self::DATE.'|'.self::ON_WEEKDAY.'|'.self::NUMBER_DATE.'|the\s+'.self::NUMBER;

    public function __construct(private LocalDay $today, private bool $monthFirst = false) {}

    /**
     * A weekday is the next one after today; a date without a year the next one from today on. A period is named by its
     * first day, or by its last.
     *
     * @throws InvalidTime if there is no such date, as 31 February
     */
    public function read(string $phrase, bool $last = false): LocalDay
    {
        $phrase = (string) preg_replace(['/\s+/u', '/\.(?= |$)(?<!\d\.)/', '/^the (?=day|end|close|middle|first|second|third|fourth|last|start|beginning|very|week|\d)/', '/[\'’]s? time$/u'], [' ', '', '', ''], strtolower(trim($phrase)));
        $phrase = (string) preg_replace('/'.self::TOMORROW.'/', 'tomorrow', $phrase);
        if (preg_match('/^(today|tonight|tomorrow|day after tomorrow)$/D', $phrase) === 1) {
            return $this->today->plusDays(['tomorrow' => 1, 'day after tomorrow' => 2][$phrase] ?? 0);
        }
        if (preg_match('/^(?:a week (today|tomorrow)|(tomorrow|(?:(?:next|this|coming) )?'.self::WEEKDAY.') week)$/D', $phrase, $part) === 1) {
            return $this->read($part[1] !== '' ? $part[1] : $part[2])->plusDays(7);
        }
        if (preg_match('/^in ('.Numbers::COUNT.') fortnights?$/D', $phrase, $part) === 1) {
            return $this->today->plusDays(14 * Numbers::count($part[1]));
        }
        if (preg_match('/^(?:in ('.Numbers::COUNT.') (day|week|month|year)s?|('.Numbers::COUNT.') (day|week|month)s? (?:from|on) (.+))$/D', $phrase, $part) === 1) {
            return $part[1] !== '' ? self::later($this->today, Numbers::count($part[1]), $part[2])
                : self::later($part[5] === 'now' ? $this->today : $this->read($part[5]), Numbers::count($part[3]), $part[4]);
        }
        if (preg_match('/^(?:mid[ -]|middle of )('.self::MONTH.')$/D', $phrase, $part) === 1) {
            return $this->inYear(0, self::monthNumber($part[1]), 15);
        }
        if (preg_match('/^(first|second|third|fourth|last) ('.self::WEEKDAY.') (?:of|in) (?:(the|this|next) month|('.self::MONTH.'))$/D', $phrase, $part) === 1) {
            return $this->weekdayOf(Numbers::ordinal($part[1]), self::weekdayNumber($part[2]), ($part[3] ?? '') === 'next', $part[4] ?? '');
        }
        $phrase = ['close of day' => 'end of day', 'close of business' => 'end of day', 'cob' => 'end of day', 'end of business' => 'end of day', 'eod' => 'end of day', 'eow' => 'end of week', 'eom' => 'end of month', 'eoy' => 'end of year'][$phrase] ?? $phrase;
        if (preg_match('/^(?:very )?(end|start|beginning|(?:first|last) day) of (?:(the|this|next) )?(\w+)$/D', $phrase, $part) === 1) {
            return $this->period($part[3], $part[2] === 'next', $part[1] === 'end' || $part[1] === 'last day');
        }
        if (preg_match('/^(?:(next|this|the) )?(weekend|week|month|quarter|year)$/D', $phrase, $part) === 1) {
            return $this->period($part[2], $part[1] === 'next', $last);
        }
        if (preg_match('/^'.self::MONTH.'$/D', $phrase) === 1) {
            return $this->period($phrase, false, $last);
        }
        if (preg_match('/^(?:(next|this|coming) )?('.self::WEEKDAY.')(?:,? (.+))?$/D', $phrase, $part) === 1) {
            if (preg_match('/^\d+$/D', $part[3] ?? '') === 1) {
                return $this->dayOfMonth((int) $part[3], self::weekdayNumber($part[2]));
            }

            return isset($part[3]) ? $this->read($part[3]) : $this->weekday(self::weekdayNumber($part[2]), $part[1] === 'next');
        }

        return $this->date($phrase);
    }

    /** 1 for Monday to 7 for Sunday. */
    public static function weekdayNumber(string $word): int
    {
        return (int) array_search(substr(strtolower($word), 0, 3), self::WEEKDAYS, true) + 1;
    }

    public static function monthNumber(string $word): int
    {
        return (int) array_search(substr(strtolower($word), 0, 3), self::MONTHS, true) + 1;
    }

    /** So many days, weeks, months or years after a day, or before it; the last of a shorter month. */
    public static function later(LocalDay $day, int $count, string $unit): LocalDay
    {
        if ($unit === 'day' || $unit === 'week') {
            return $day->plusDays($count * ($unit === 'week' ? 7 : 1));
        }
        $months = 12 * $day->year() + $day->month() - 1 + $count * ($unit === 'year' ? 12 : 1);
        $first = LocalDay::of(intdiv($months, 12), $months % 12 + 1, 1);

        return $first->plusDays(min($day->dayOfMonth(), self::lastOfMonth($first)->dayOfMonth()) - 1);
    }

    public static function lastOfMonth(LocalDay $day): LocalDay
    {
        return $day->month() === 12 ? LocalDay::of($day->year(), 12, 31) : LocalDay::of($day->year(), $day->month() + 1, 1)->plusDays(-1);
    }

    private function period(string $name, bool $next, bool $last): LocalDay
    {
        $today = $this->today;
        if ($name === 'day' || $name === 'today') {
            return $next ? $today->plusDays(1) : $today;
        }
        if ($name === 'week' || $name === 'weekend') {
            $monday = $today->plusDays(1 - $today->weekday() + ($next ? 7 : 0));

            return $last && $name === 'week' ? $monday->plusDays(6) : $monday->plusDays($name === 'week' ? 0 : ($last ? 4 : 5)); // by the weekend: before it begins
        }
        if ($name === 'year' || $name === 'quarter') {
            $length = $name === 'year' ? 12 : 3;
            $first = LocalDay::of($today->year(), $name === 'year' ? 1 : intdiv($today->month() - 1, 3) * 3 + 1, 1);
            $first = $next ? self::later($first, $length, 'month') : $first;

            return $last ? self::lastOfMonth(self::later($first, $length - 1, 'month')) : $first;
        }
        $first = LocalDay::of($today->year(), $today->month(), 1);
        if ($name === 'month') {
            $first = $next ? self::later($first, 1, 'month') : $first;
        } else {
            $month = self::monthNumber($name);
            $first = LocalDay::of($today->year() + ($month < $today->month() ? 1 : 0), $month, 1);
        }

        return $last ? self::lastOfMonth($first) : $first;
    }

    /** The first to fourth or last weekday of a month; of the next year's once that has passed. */
    private function weekdayOf(int $place, int $weekday, bool $next, string $month): LocalDay
    {
        for ($year = 0; $year < 2; $year++) {
            $first = $this->period($month === '' ? 'month' : $month, $next, false);
            $first = $year === 0 ? $first : self::later($first, 1, 'year');
            $day = $first->plusDays(($weekday - $first->weekday() + 7) % 7);
            $day = $place > 0 ? $day->plusDays(7 * ($place - 1)) : $day->plusDays(7 * intdiv(self::lastOfMonth($first)->dayOfMonth() - $day->dayOfMonth(), 7));
            if ($day->number >= $this->today->number || $month === '') {
                return $day;
            }
        }

        return $day;
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
        if (preg_match('/^(\d{1,2})([\/.-])(\d{1,2})[\/.-]?(\d{4}|\d{2})?$/D', $phrase, $part) === 1) {
            [$month, $day] = $this->monthFirst && $part[2] === '/' ? [(int) $part[1], (int) $part[3]] : [(int) $part[3], (int) $part[1]];
            [$month, $day] = $part[2] === '/' && $month > 12 && $day <= 12 ? [$day, $month] : [$month, $day]; // of which only one reading is a date
            $year = (int) ($part[4] ?? 0);

            return $this->inYear($year > 0 && $year < 100 ? 2000 + $year : $year, $month, $day);
        }
        if (preg_match('/^(\d{1,2})(?:st|nd|rd|th)? ?(?:of )?('.self::MONTH.')(?:,? (\d{4}))?$/D', $phrase, $part) === 1) {
            return $this->inYear((int) ($part[3] ?? 0), self::monthNumber($part[2]), (int) $part[1]);
        }
        if (preg_match('/^('.self::MONTH.') (?:the )?(\d{1,2})(?:st|nd|rd|th)?(?:,? (\d{4}))?$/D', $phrase, $part) === 1) {
            return $this->inYear((int) ($part[3] ?? 0), self::monthNumber($part[1]), (int) $part[2]);
        }
        if (preg_match('/^(\d{1,2})(?:st|nd|rd|th)$/D', $phrase, $part) === 1) {
            return $this->dayOfMonth((int) $part[1]);
        }

        throw InvalidTime::notADate($phrase);
    }

    /**
     * The next day with that number, in a month that has it.
     *
     * @param  int|null  $weekday  that it is within three months, or there is no such day
     */
    private function dayOfMonth(int $day, ?int $weekday = null): LocalDay
    {
        for ($i = 0; $i < 3 && $day >= 1; $i++) {
            $first = self::later(LocalDay::of($this->today->year(), $this->today->month(), 1), $i, 'month');
            $found = $first->plusDays($day - 1);
            if ($found->month() === $first->month() && $found->number >= $this->today->number && ($weekday ?? $found->weekday()) === $found->weekday()) {
                return $found;
            }
        }

        throw InvalidTime::notADate((string) $day);
    }

    /** Without a year (0): this year's or, once that has passed, the next year's; for 29 February up to eight years on. */
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
