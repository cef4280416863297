<?php

declare(strict_types=1);

namespace Nekto\Core\Time;

/**
 * A time zone of the IANA database: turns local days and wall-clock times into minutes since 1970-01-01T00:00Z and
 * back. Offsets that are not whole minutes (before about 1972) are rounded down to the minute.
 */
final class Zone
{
    private const FIRST = -86400 * 366;

    private const LAST = 86400 * 366 * 200;

    /** @var list<int> minutes at which an offset begins, ascending */
    private array $from = [];

    /** @var list<int> the offset (local − UTC, minutes) from there on */
    private array $offset = [];

    private int $last = 0;

    /** @var array<int, Interval> by the day's number, those asked for */
    private array $days = [];

    /** @throws InvalidTime if the zone database has no such zone */
    public function __construct(public readonly string $name)
    {
        try {
            $zone = new \DateTimeZone($name);
        } catch (\Exception) {
            throw InvalidTime::unknownZone($name);
        }
        foreach ($zone->getTransitions(self::FIRST, self::LAST) ?: [] as $transition) {
            $this->from[] = intdiv($transition['ts'], 60);
            $this->offset[] = intdiv($transition['offset'], 60);
        }
        if ($this->from === []) {
            $this->from = [0];
            $this->offset = [intdiv($zone->getOffset(new \DateTimeImmutable('@0')), 60)];
        }
    }

    /** Local time − UTC at that moment, in minutes. O(log n), O(1) near the moment asked for last. */
    public function offsetAt(int $minute): int
    {
        return $this->offset[$this->index($minute)];
    }

    public function dayOf(int $minute): LocalDay
    {
        return new LocalDay((int) floor(($minute + $this->offsetAt($minute)) / 1440));
    }

    /** Wall-clock minutes since local midnight (0 to 1439). */
    public function minuteOfDay(int $minute): int
    {
        return (($minute + $this->offsetAt($minute)) % 1440 + 1440) % 1440;
    }

    /**
     * The moment a wall clock shows that time. A time that does not exist (clocks put forward) and one that comes
     * twice (put back) are both read with the offset in force before the change. 1440 is the next day's midnight.
     *
     * @throws InvalidTime if $minuteOfDay is not 0 to 1440
     */
    public function at(LocalDay $day, int $minuteOfDay): int
    {
        $minuteOfDay >= 0 && $minuteOfDay <= 1440 || throw InvalidTime::minuteOfDay($minuteOfDay);
        $wall = $day->number * 1440 + $minuteOfDay;
        $i = $this->index($wall + 1560);
        while ($i > 0 && $wall < $this->from[$i] + max($this->offset[$i - 1], $this->offset[$i])) {
            $i--;
        }

        return $wall - $this->offset[$i];
    }

    /** The local day from its midnight to the next; 23 or 25 hours where clocks change. */
    public function day(LocalDay $day): Interval
    {
        return $this->days[$day->number] ??= new Interval($this->at($day, 0), $this->at($day->plusDays(1), 0));
    }

    /**
     * Moments inside the interval at which the offset changes.
     *
     * @return list<int> ascending
     */
    public function changesWithin(Interval $interval): array
    {
        return array_values(array_filter(
            $this->from,
            static fn (int $from): bool => $from > $interval->start && $from < $interval->end,
        ));
    }

    private function index(int $minute): int
    {
        $i = $this->last;
        if ($this->from[$i] <= $minute && ($this->from[$i + 1] ?? PHP_INT_MAX) > $minute) {
            return $i;
        }
        $low = 0;
        $high = count($this->from) - 1;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            $this->from[$middle] <= $minute ? $low = $middle : $high = $middle - 1;
        }

        return $this->last = $low;
    }
}
