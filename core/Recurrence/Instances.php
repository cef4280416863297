<?php

declare(strict_types=1);

namespace Nekto\Core\Recurrence;

use Nekto\Core\Time\Calendar;

/**
 * The instances of a rule by the wall clock, one after another, period by period: the days of the period, the times of the
 * day, positions among those (the way of dateutil's rrule, after RFC 5545, 3.3.10). Nothing is computed that is not asked
 * for: periods before the window are passed over by arithmetic where no COUNT has to be kept.
 *
 * Moments are seconds since 1970-01-01T00:00 by the wall clock, as if it were UTC.
 */
final class Instances
{
    private const DAY = 86_400;

    /** Periods that may be looked at: eight hundred years of days, more than any real rule needs between two instances. */
    private const MOST_PERIODS = 300_000;

    /** No calendar goes further. */
    private const LAST_YEAR = 9999;

    private readonly Days $days;

    /** @var list<int> seconds of the day, for periods of a day and more */
    private readonly array $times;

    private int $periods = 0;

    /**
     * @param  int  $start  of the first instance, which counts whatever the rule says (3.8.5.3)
     * @param  int|null  $until  the last moment, inclusive
     */
    public function __construct(private readonly Rule $rule, private readonly int $start, private readonly ?int $until)
    {
        $this->days = new Days($rule, self::dayOf($start));
        $this->times = $rule->frequency->value <= Frequency::Daily->value ? $this->timesOfDay() : [];
    }

    /**
     * Those from a moment on, and as far as they are asked for before another.
     *
     * @param  int  $from  earlier ones may be left out
     * @param  int  $to  exclusive
     * @return \Generator<int> ascending
     *
     * @throws RuleRefused if the next one is not found within the steps allowed
     */
    public function between(int $from, int $to): \Generator
    {
        if ($this->start < $to && ($this->until === null || $this->start <= $this->until)) {
            yield $this->start;
        }
        $left = ($this->rule->count ?? PHP_INT_MAX) - 1;
        foreach ($this->given($this->rule->count === null ? max($from, $this->start) : $this->start, $to) as $moment) {
            if ($moment === $this->start) {
                continue;
            }
            if ($left-- <= 0 || ($this->until !== null && $moment > $this->until)) {
                return;
            }
            yield $moment;
        }
    }

    /**
     * The first that the rule itself gives, from its start on, whatever COUNT and UNTIL say; null if there is none before a
     * moment.
     *
     * @param  int  $to  exclusive
     *
     * @throws RuleRefused if it is not found within the steps allowed
     */
    public function first(int $to): ?int
    {
        foreach ($this->given($this->start, $to) as $moment) {
            return $moment;
        }

        return null;
    }

    /** @return \Generator<int> ascending, each once */
    private function given(int $from, int $to): \Generator
    {
        $last = $this->start - 1;
        foreach ($this->sets($from, $to) as $set) {
            foreach ($set as $moment) {
                if ($moment >= $to) {
                    return;
                }
                if ($moment > $last) {
                    yield $last = $moment;
                    $this->periods = 0;
                }
            }
        }
    }

    /** @return \Generator<list<int>> the moments of each period, ascending */
    private function sets(int $from, int $to): \Generator
    {
        $sets = match ($this->rule->frequency) {
            Frequency::Yearly, Frequency::Monthly => $this->ofMonths($from, $to),
            Frequency::Weekly, Frequency::Daily => $this->ofDays($from, $to),
            default => $this->ofTimes($from, $to),
        };
        foreach ($sets as $set) {
            yield $this->rule->bySetPos === [] ? $set : $this->positions($set);
        }
    }

    /** @return \Generator<list<int>> */
    private function ofMonths(int $from, int $to): \Generator
    {
        $step = $this->rule->interval * ($this->rule->frequency === Frequency::Yearly ? 12 : 1);
        [$year, $month] = Calendar::date(self::dayOf($this->start));
        $begin = 12 * $year + ($this->rule->frequency === Frequency::Yearly ? 0 : $month - 1);
        [$year, $month] = Calendar::date(self::dayOf($from));
        $number = $begin + $step * max(0, intdiv(12 * $year + $month - 1 - $begin, $step) - ($this->rule->frequency === Frequency::Yearly ? 1 : 0));
        for (; ; $number += $step) {
            [$year, $month] = [intdiv($number, 12), $number % 12 + 1];
            if ($year > self::LAST_YEAR || self::DAY * Calendar::firstOfMonth($year, $month) >= $to) {
                return;
            }
            $this->count();
            yield $this->onDays($this->rule->frequency === Frequency::Yearly ? $this->days->ofYear($year) : $this->days->ofMonth($year, $month));
        }
    }

    /** @return \Generator<list<int>> */
    private function ofDays(int $from, int $to): \Generator
    {
        $isWeek = $this->rule->frequency === Frequency::Weekly;
        $step = $this->rule->interval * ($isWeek ? 7 : 1);
        $begin = self::dayOf($this->start);
        $isWeek && $begin = Calendar::firstOfWeek($begin, $this->rule->weekStart);
        $day = $begin + $step * max(0, intdiv(self::dayOf($from) - $begin, $step));
        for (; self::DAY * $day < $to; $day += $step) {
            $this->count();
            yield $this->onDays($isWeek ? $this->days->ofWeek($day) : ($this->days->has($day) ? [$day] : []));
        }
    }

    /** @return \Generator<list<int>> */
    private function ofTimes(int $from, int $to): \Generator
    {
        $length = $this->rule->frequency->seconds();
        $step = $this->rule->interval * $length;
        $begin = intdiv($this->start, $length) * $length - ($this->start < 0 && $this->start % $length !== 0 ? $length : 0);
        $period = $begin + $step * max(0, intdiv($from - $begin, $step));
        while ($period < $to) {
            $this->count();
            $day = self::dayOf($period);
            $next = $period + $step;
            if (! $this->days->has($day)) {
                $next = self::DAY * ($day + 1); // nothing of this day
            } elseif ($this->rule->byHour !== [] && ! in_array(intdiv($period - self::DAY * $day, 3600), $this->rule->byHour, true)) {
                $next = intdiv($period, 3600) * 3600 + 3600; // nor of this hour
            } elseif ($length <= 60 && $this->rule->byMinute !== [] && ! in_array(intdiv($period % 3600, 60), $this->rule->byMinute, true)) {
                $next = intdiv($period, 60) * 60 + 60;
            } else {
                yield $this->within($period, $length);
            }
            $period += $step * max(1, intdiv($next - $period + $step - 1, $step));
        }
    }

    /** @return list<int> */
    private function within(int $period, int $length): array
    {
        $seconds = $this->rule->bySecond === [] ? [$this->start % 60] : $this->rule->bySecond;
        if ($length === 1) {
            return $this->rule->bySecond === [] || in_array($period % 60, $this->rule->bySecond, true) ? [$period] : [];
        }
        $minutes = $length === 60 ? [0] : ($this->rule->byMinute === [] ? [intdiv($this->start % 3600, 60)] : $this->rule->byMinute);
        $set = [];
        foreach ($minutes as $minute) {
            foreach ($seconds as $second) {
                $set[] = $period + 60 * $minute + $second;
            }
        }
        sort($set);

        return $set;
    }

    /**
     * @param  list<int>  $days
     * @return list<int>
     */
    private function onDays(array $days): array
    {
        $set = [];
        foreach ($days as $day) {
            foreach ($this->times as $time) {
                $set[] = self::DAY * $day + $time;
            }
        }

        return $set;
    }

    /** @return list<int> */
    private function timesOfDay(): array
    {
        $ofStart = $this->start - self::DAY * self::dayOf($this->start);
        $times = [];
        foreach ($this->rule->byHour === [] ? [intdiv($ofStart, 3600)] : $this->rule->byHour as $hour) {
            foreach ($this->rule->byMinute === [] ? [intdiv($ofStart % 3600, 60)] : $this->rule->byMinute as $minute) {
                foreach ($this->rule->bySecond === [] ? [$ofStart % 60] : $this->rule->bySecond as $second) {
                    $times[] = 3600 * $hour + 60 * $minute + $second;
                }
            }
        }
        sort($times);

        return $times;
    }

    /**
     * @param  list<int>  $set
     * @return list<int>
     */
    private function positions(array $set): array
    {
        $count = count($set);
        $chosen = [];
        foreach ($this->rule->bySetPos as $position) {
            $index = $position > 0 ? $position - 1 : $count + $position;
            isset($set[$index]) && $chosen[$index] = $set[$index];
        }
        ksort($chosen);

        return array_values($chosen);
    }

    private function count(): void
    {
        ++$this->periods <= self::MOST_PERIODS || throw RuleRefused::neverComesRound();
    }

    private static function dayOf(int $moment): int
    {
        return (int) floor($moment / self::DAY);
    }
}
