<?php

declare(strict_types=1);

namespace App\Screens\Week;

use Nekto\Core\Time\Interval;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Zone;

/** The hours of the wall clock that all days of a week are drawn against, left to right, in thousandths of the width. */
final readonly class WeekAxis
{
    /** A week without hours shows these. */
    private const FROM = 540;

    private const TO = 1050;

    /** Minutes left free at both ends. */
    private const MARGIN = 30;

    private const SHORTEST = 360;

    /** From so many hours on only each second one is named. */
    private const CLOSE = 14;

    private function __construct(public int $from, public int $to) {}

    /**
     * Wide enough for all of some stretches of time.
     *
     * @param  list<array{LocalDay, Interval}>  $stretches  each seen on a day
     */
    public static function around(Zone $zone, array $stretches): self
    {
        $from = 1440;
        $to = 0;
        foreach ($stretches as [$day, $interval]) {
            [$start, $end] = self::clocks($zone, $day, $interval);
            $from = min($from, $start);
            $to = max($to, $end);
        }
        if ($from >= $to) {
            [$from, $to] = [self::FROM, self::TO];
        }
        $from = max(0, intdiv($from, 30) * 30 - self::MARGIN);
        $to = min(1440, intdiv($to + 29, 30) * 30 + self::MARGIN);

        return new self($from, max($to, min(1440, $from + self::SHORTEST)));
    }

    /** No wider than one stretch of time of a day. */
    public static function exactly(Zone $zone, LocalDay $day, Interval $interval): self
    {
        [$from, $to] = self::clocks($zone, $day, $interval);

        return new self($from, max($from + 1, $to));
    }

    public function length(): int
    {
        return $this->to - $this->from;
    }

    /** Where a minute of the day lies; at an end, if it is beyond. */
    public function place(int $minuteOfDay): float
    {
        return round(1000 * (min($this->to, max($this->from, $minuteOfDay)) - $this->from) / $this->length(), 2);
    }

    /** @return array{float, float} left and width of what of an interval lies on a day */
    public function stretch(Zone $zone, LocalDay $day, Interval $interval): array
    {
        [$start, $end] = self::clocks($zone, $day, $interval);
        $left = $this->place($start);

        return [$left, round($this->place($end) - $left, 2)];
    }

    /** @return list<array{float, int|null}> left, and the minute of the day at full hours that are named */
    public function marks(): array
    {
        $marks = [];
        $each = $this->length() > 60 * self::CLOSE ? 120 : 60;
        for ($at = $this->from; $at <= $this->to; $at += 30) {
            $marks[] = [$this->place($at), $at % $each === 0 && $at > $this->from && $at < $this->to ? $at : null];
        }

        return $marks;
    }

    /** @return array{int, int} minutes of the wall clock; the whole day of what begins before it and ends after it */
    private static function clocks(Zone $zone, LocalDay $day, Interval $interval): array
    {
        $span = $zone->day($day);

        return [
            $interval->start <= $span->start ? 0 : $zone->minuteOfDay($interval->start),
            $interval->end >= $span->end ? 1440 : $zone->minuteOfDay($interval->end),
        ];
    }
}
