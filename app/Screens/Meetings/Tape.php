<?php

declare(strict_types=1);

namespace App\Screens\Meetings;

use App\Rows\WorkTime;
use Nekto\Core\Time\Interval;

/** The hours of a day, left to right, the same for all days: minutes of the wall clock as hundredths of the width. */
final readonly class Tape
{
    private const FROM = 540;

    private const TO = 1050;

    private function __construct(private WorkTime $time, private int $from, private int $to) {}

    /** @param  iterable<Interval>  $meetings  that are to be on it */
    public static function of(WorkTime $time, iterable $meetings): self
    {
        $from = self::FROM;
        $to = self::TO;
        $set = $time->sets->first();
        foreach ($set === null ? [] : range(0, min(6, $time->days - 1)) as $day) {
            foreach ($time->hoursOn($set->id, $time->first->plusDays($day))->intervals as $open) {
                [$from, $to] = self::widened($time, $open, $from, $to);
            }
        }
        foreach ($meetings as $meeting) {
            [$from, $to] = self::widened($time, $meeting, $from, $to);
        }

        return new self($time, 60 * intdiv(max(0, $from), 60), min(1440, 30 * (int) ceil($to / 30)));
    }

    /** @return array{int, int} */
    private static function widened(WorkTime $time, Interval $by, int $from, int $to): array
    {
        $start = $time->zone->minuteOfDay($by->start);
        $end = $time->zone->minuteOfDay($by->end);

        return [min($from, $start), max($to, $end > $start ? $end : 1440)];
    }

    /** @return array{float, float}|null left and width on the day it begins; null: it is not on the tape */
    public function place(Interval $of): ?array
    {
        $start = $this->time->zone->minuteOfDay($of->start);
        $end = $start + $of->length();
        [$start, $end] = [max($this->from, $start), min($this->to, $end)];

        return $end <= $start ? null : [$this->at($start), round($this->at($end) - $this->at($start), 2)];
    }

    public function at(int $minute): float
    {
        return round(100 * ($minute - $this->from) / ($this->to - $this->from), 2);
    }

    /** @return list<array{float, string}> */
    public function marks(): array
    {
        $marks = [];
        $step = $this->to - $this->from > 720 ? 240 : 120;
        for ($minute = $this->from; $minute <= $this->to; $minute += $step) {
            $marks[] = [$this->at($minute), (string) intdiv($minute, 60)];
        }

        return $marks;
    }

    /** @return list<array{float, float, bool}> the line: left, width, solid or, at lunch, dotted */
    public function line(): array
    {
        [$from, $to] = [$this->time->user->lunch_from, $this->time->user->lunch_to];
        if ($from === null || $to === null || $to <= $from || $from <= $this->from || $to >= $this->to) {
            return [[0.0, 100.0, true]];
        }

        return [[0.0, $this->at($from), true], [$this->at($from), round($this->at($to) - $this->at($from), 2), false], [$this->at($to), round(100 - $this->at($to), 2), true]];
    }
}
