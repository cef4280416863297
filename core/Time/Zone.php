<?php

declare(strict_types=1);

namespace Nekto\Core\Time;

/**
 * A time zone of the IANA database: turns local days and wall-clock times into minutes since 1970-01-01T00:00Z and
 * back. Offsets that are not whole minutes (before about 1972) are rounded down to the minute.
 */
final class Zone
{
    private readonly Offsets $clock;

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
        $this->clock = Offsets::of($zone);
    }

    /** Local time − UTC at that moment, in minutes. */
    public function offsetAt(int $minute): int
    {
        return (int) floor($this->clock->offset(60 * $minute) / 60);
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

        return (int) ceil($this->clock->utc(60 * (1440 * $day->number + $minuteOfDay)) / 60);
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
        $within = array_filter($this->clock->changes(), static fn (int $from): bool => $from > 60 * $interval->start && $from < 60 * $interval->end);

        return array_values(array_map(static fn (int $from): int => intdiv($from, 60), $within));
    }
}
