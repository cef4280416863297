<?php

declare(strict_types=1);

namespace App\Screens\Horizon;

use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Zone;

/** Days left to right, in thousandths of the width: those without hours are narrow, and of each only the hours are drawn. */
final readonly class HorizonAxis
{
    /** How wide a day without hours is, of one with them. */
    private const NARROW = 0.28;

    /** A day without hours is drawn as these, in minutes. */
    private const FROM = 540;

    private const TO = 1050;

    /** @param  array<int, array{float, float}>  $days  left and width by the day's number */
    private function __construct(private Zone $zone, public LocalDay $first, public int $count, public array $days, private int $from, private int $to) {}

    /** @param  IntervalSet  $hours  of all days */
    public static function of(Zone $zone, LocalDay $first, int $count, IntervalSet $hours): self
    {
        $weights = [];
        $from = 1440;
        $to = 0;
        for ($i = 0; $i < $count; $i++) {
            $span = $zone->day($first->plusDays($i));
            $open = $hours->between($span->start, $span->end)->intervals;
            $weights[$first->number + $i] = $open === [] ? self::NARROW : 1.0;
            foreach ($open as $interval) {
                $from = min($from, $zone->minuteOfDay($interval->start));
                $to = max($to, $interval->end >= $span->end ? 1440 : $zone->minuteOfDay($interval->end));
            }
        }
        $sum = array_sum($weights);
        $left = 0.0;
        $days = [];
        foreach ($weights as $number => $weight) {
            $days[$number] = [round(1000 * $left / $sum, 2), round(1000 * $weight / $sum, 2)];
            $left += $weight;
        }

        return new self($zone, $first, $count, $days, $from >= $to ? self::FROM : $from, $from >= $to ? self::TO : $to);
    }

    /** Where a moment lies; at an end, if it is beyond. */
    public function place(int $moment): float
    {
        $day = $this->zone->dayOf($moment);
        if ($day->number < $this->first->number) {
            return 0.0;
        }
        if (! isset($this->days[$day->number])) {
            return 1000.0;
        }
        [$left, $width] = $this->days[$day->number];
        $clock = min($this->to, max($this->from, $this->zone->minuteOfDay($moment)));

        return round($left + $width * ($clock - $this->from) / ($this->to - $this->from), 2);
    }

    /** Where something that ends with that moment lies: midnight is the end of its day, not the beginning of the next. */
    public function end(int $moment): float
    {
        return $this->place($moment - 1);
    }

    public function isNarrow(LocalDay $day): bool
    {
        return isset($this->days[$day->number]) && $this->days[$day->number][1] < 1.5 * min(array_column($this->days, 1)) && min(array_column($this->days, 1)) < max(array_column($this->days, 1));
    }
}
