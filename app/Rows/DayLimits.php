<?php

declare(strict_types=1);

namespace App\Rows;

use Nekto\Core\Day\DayLoad;
use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Time\IntervalSet;

/** What planning may still lay on each day: the load line of each set of hours and the deep limit, less what is taken. */
final readonly class DayLimits
{
    /** @param  array<int, DayLimit>  $lines  by set of hours */
    private function __construct(public array $lines, public DayLimit $deep) {}

    /**
     * @param  IntervalSet  $anchored  time that is no longer open
     * @param  iterable<Taken>  $taken
     * @param  list<int>|null  $only  sets of hours that are asked about; null: all
     */
    public static function of(WorkTime $time, IntervalSet $anchored, iterable $taken, ?array $only = null): self
    {
        $under = $deep = [];
        $limit = $time->user->deep_limit;
        foreach ($taken as $one) {
            $day = $time->zone->dayOf($one->start)->number;
            $one->underLine && $under[$one->set][$day] = ($under[$one->set][$day] ?? 0) + $one->minutes;
            $one->deep && $deep[$day] = max(0, ($deep[$day] ?? $limit) - $one->minutes);
        }
        $lines = [];
        foreach ($only ?? $time->sets->pluck('id')->all() as $set) {
            $lines[$set] = new DayLimit(null, self::lines($time, $time->open($set)->without($anchored), $under[$set] ?? []));
        }

        return new self($lines, new DayLimit($limit, $deep));
    }

    /**
     * The same, but no day carries less than what is laid there already: where a plan is mended its line is a wish, and the
     * margin is what a surprise is taken from.
     *
     * @param  list<Taken>  $laid
     */
    public function orAsLaid(WorkTime $time, array $laid): self
    {
        $bySet = $deep = [];
        foreach ($laid as $one) {
            $day = $time->zone->dayOf($one->start)->number;
            $bySet[$one->set][$day] = ($bySet[$one->set][$day] ?? 0) + $one->minutes;
            $one->deep && $deep[$day] = ($deep[$day] ?? 0) + $one->minutes;
        }
        $lines = $this->lines;
        foreach ($bySet as $set => $days) {
            isset($lines[$set]) && $lines[$set] = $lines[$set]->atLeast($days);
        }

        return new self($lines, $this->deep->atLeast($deep));
    }

    /**
     * @param  array<int, int>  $under  minutes taken by day
     * @return array<int, int> minutes by day, 0 on those without open time
     */
    private static function lines(WorkTime $time, IntervalSet $open, array $under): array
    {
        $byDay = array_fill($time->first->number, $time->days, 0);
        $midnight = PHP_INT_MIN;
        $number = $time->first->number;
        foreach ($open->intervals as $interval) {
            for ($start = $interval->start; $start < $interval->end; $start = $end) {
                if ($start >= $midnight) {
                    $day = $time->zone->dayOf($start);
                    [$number, $midnight] = [$day->number, $time->zone->day($day)->end];
                }
                $end = min($interval->end, $midnight);
                $byDay[$number] = ($byDay[$number] ?? 0) + $end - $start;
            }
        }
        foreach ($byDay as $day => $minutes) {
            $byDay[$day] = max(0, DayLoad::line($minutes, $time->user->margin_percent) - ($under[$day] ?? 0));
        }

        return $byDay;
    }
}
