<?php

declare(strict_types=1);

namespace Nekto\Core\Recurrence;

use Nekto\Core\Time\Calendar;

/**
 * The days of a period on which a rule falls: all of them first, then what each BY part leaves (the expanding and limiting
 * of the table in RFC 5545, 3.3.10, where a period's own days are the expansion).
 */
final readonly class Days
{
    /** @var array<int, true> */
    private array $months;

    /** @var list<int> */
    private array $monthDays;

    /** @var array<int, true> weekdays of which each counts */
    private array $weekdays;

    /** @var list<array{int, int}> weekdays of which the n-th of the month or year counts */
    private array $nth;

    private bool $isNthOfMonth;

    /** @param  int  $start  the day the rule begins on; what the rule does not say is as that day */
    public function __construct(private Rule $rule, int $start)
    {
        [, $month, $dayOfMonth] = Calendar::date($start);
        $hasDay = $rule->byYearDay !== [] || $rule->byMonthDay !== [] || $rule->byDay !== [];
        $isBare = ! $hasDay && $rule->byWeekNo === [];
        $isYearly = $rule->frequency === Frequency::Yearly;
        $months = $rule->byMonth === [] && $isYearly && $isBare ? [$month] : $rule->byMonth;
        $this->months = array_fill_keys($months, true);
        $this->monthDays = $isBare && in_array($rule->frequency, [Frequency::Yearly, Frequency::Monthly], true) ? [$dayOfMonth] : $rule->byMonthDay;
        $byDay = match (true) {
            $isBare && $rule->frequency === Frequency::Weekly, $isYearly && ! $hasDay && $rule->byWeekNo !== [] => [[0, Calendar::weekday($start)]],
            default => $rule->byDay,
        };
        $countsNth = ($isYearly && $rule->byWeekNo === []) || $rule->frequency === Frequency::Monthly;
        $this->isNthOfMonth = $rule->frequency === Frequency::Monthly || $rule->byMonth !== [];
        $weekdays = $nth = [];
        foreach ($byDay as [$n, $weekday]) {
            $n === 0 || ! $countsNth ? $weekdays[$weekday] = true : $nth[] = [$n, $weekday];
        }
        [$this->weekdays, $this->nth] = [$weekdays, $nth];
    }

    /** @return list<int> day numbers, ascending */
    public function ofYear(int $year): array
    {
        $days = [];
        for ($month = 1; $month <= 12; $month++) {
            if ($this->months === [] || isset($this->months[$month])) {
                array_push($days, ...$this->ofMonth($year, $month));
            }
        }

        return $days;
    }

    /** @return list<int> */
    public function ofMonth(int $year, int $month): array
    {
        if ($this->months !== [] && ! isset($this->months[$month])) {
            return [];
        }
        $first = Calendar::firstOfMonth($year, $month);
        $length = Calendar::daysOfMonth($year, $month);
        $days = [];
        for ($i = 0; $i < $length; $i++) {
            if ($this->fits($first + $i, $year, $i + 1, $length)) {
                $days[] = $first + $i;
            }
        }

        return $days;
    }

    /**
     * @param  int  $first  the first of seven days
     * @return list<int>
     */
    public function ofWeek(int $first): array
    {
        return array_values(array_filter(range($first, $first + 6), $this->has(...)));
    }

    public function has(int $day): bool
    {
        if ($this->weekdays !== [] && ! isset($this->weekdays[Calendar::weekday($day)]) && $this->nth === []) {
            return false;
        }
        [$year, $month, $dayOfMonth] = Calendar::date($day);

        return ($this->months === [] || isset($this->months[$month])) && $this->fits($day, $year, $dayOfMonth, Calendar::daysOfMonth($year, $month));
    }

    private function fits(int $day, int $year, int $dayOfMonth, int $daysOfMonth): bool
    {
        if ($this->monthDays !== [] && ! in_array($dayOfMonth, $this->monthDays, true) && ! in_array($dayOfMonth - $daysOfMonth - 1, $this->monthDays, true)) {
            return false;
        }
        if (($this->weekdays !== [] || $this->nth !== []) && ! $this->isWeekday($day, $year, $dayOfMonth, $daysOfMonth)) {
            return false;
        }
        if ($this->rule->byYearDay !== []) {
            $ofYear = $day - Calendar::firstOfYear($year) + 1;
            if (! in_array($ofYear, $this->rule->byYearDay, true) && ! in_array($ofYear - Calendar::daysOfYear($year) - 1, $this->rule->byYearDay, true)) {
                return false;
            }
        }
        if ($this->rule->byWeekNo !== [] && $this->rule->frequency === Frequency::Yearly) {
            return array_intersect(Calendar::week($day, $this->rule->weekStart), $this->rule->byWeekNo) !== [];
        }

        return true;
    }

    private function isWeekday(int $day, int $year, int $dayOfMonth, int $daysOfMonth): bool
    {
        $weekday = Calendar::weekday($day);
        if (isset($this->weekdays[$weekday])) {
            return true;
        }
        foreach ($this->nth as [$n, $which]) {
            if ($which !== $weekday) {
                continue;
            }
            [$from, $to] = $this->isNthOfMonth ? [$dayOfMonth - 1, $daysOfMonth - $dayOfMonth] : [$day - Calendar::firstOfYear($year), Calendar::daysOfYear($year) - ($day - Calendar::firstOfYear($year)) - 1];
            if (($n > 0 ? intdiv($from, 7) + 1 : -intdiv($to, 7) - 1) === $n) {
                return true;
            }
        }

        return false;
    }
}
