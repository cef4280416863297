<?php

declare(strict_types=1);

namespace Nekto\Core\Time;

/** Days of the proleptic Gregorian calendar from the year 1 on, as numbers since 1970-01-01, with their months, years and weeks. */
final class Calendar
{
    private const BEFORE_MONTH = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334];

    /** @var array<int, int> number of 1 January by year, those asked for */
    private static array $years = [];

    public static function isLeap(int $year): bool
    {
        return $year % 4 === 0 && ($year % 100 !== 0 || $year % 400 === 0);
    }

    public static function daysOfYear(int $year): int
    {
        return self::isLeap($year) ? 366 : 365;
    }

    public static function daysOfMonth(int $year, int $month): int
    {
        return [31, self::isLeap($year) ? 29 : 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][$month - 1];
    }

    public static function firstOfYear(int $year): int
    {
        return self::$years[$year] ??= 365 * ($year - 1970) + self::leapsBefore($year) - self::leapsBefore(1970);
    }

    public static function firstOfMonth(int $year, int $month): int
    {
        return self::firstOfYear($year) + self::BEFORE_MONTH[$month - 1] + ($month > 2 && self::isLeap($year) ? 1 : 0);
    }

    /** @return array{int, int, int} year, month 1 to 12, day 1 to 31 */
    public static function date(int $day): array
    {
        $year = 1970 + (int) floor($day / 365.2425);
        while (self::firstOfYear($year) > $day) {
            $year--;
        }
        while (self::firstOfYear($year + 1) <= $day) {
            $year++;
        }
        $ofYear = $day - self::firstOfYear($year);
        $month = min(12, intdiv($ofYear, 28) + 1);
        while (self::firstOfMonth($year, $month) > $day) {
            $month--;
        }

        return [$year, $month, $day - self::firstOfMonth($year, $month) + 1];
    }

    /** 1 Monday to 7 Sunday. */
    public static function weekday(int $day): int
    {
        return (($day + 3) % 7 + 7) % 7 + 1;
    }

    /** The first day of the week a day lies in. */
    public static function firstOfWeek(int $day, int $weekStart): int
    {
        return $day - (self::weekday($day) - $weekStart + 7) % 7;
    }

    /**
     * Which week of its year a day's week is, counted from the start and from the end. A week belongs to the year that has
     * four of its days (RFC 5545, 3.3.10).
     *
     * @return array{int, int} 1 to 53, and −1 to −53
     */
    public static function week(int $day, int $weekStart): array
    {
        $first = self::firstOfWeek($day, $weekStart);
        $year = self::date($first + 3)[0];
        $one = self::firstOfWeek(self::firstOfYear($year) + 3, $weekStart);
        $weeks = intdiv(self::firstOfWeek(self::firstOfYear($year + 1) + 3, $weekStart) - $one, 7);
        $week = intdiv($first - $one, 7) + 1;

        return [$week, $week - $weeks - 1];
    }

    private static function leapsBefore(int $year): int
    {
        $year--;

        return intdiv($year, 4) - intdiv($year, 100) + intdiv($year, 400);
    }
}
