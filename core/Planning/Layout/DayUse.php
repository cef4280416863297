<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Layout;

/**
 * How many minutes of each day are used, as far as something limits them: all, the deep ones, those of a set of hours.
 *
 * What always holds (and is asserted in tests): each figure is the sum of the minutes that lie there, and no limit is passed
 * by time that room() allowed; most() is never less than the room of all days.
 */
final class DayUse
{
    /** More than any plan has; sums of it are still numbers. */
    private const UNLIMITED = 1 << 40;

    /** @var array<int, int> minutes by day */
    private array $all = [];

    /** @var array<int, int> deep minutes by day */
    private array $deep = [];

    /** @var array<int, array<int, int>> minutes by set of hours and day */
    private array $ofSet = [];

    /** What the limits of all days leave together; kept as sums, so that a full horizon is known without looking at its days. */
    private int $allLeft;

    private int $deepLeft;

    /** @var array<int, int> by set of hours */
    private array $setLeft;

    public function __construct(private readonly Lanes $lanes, private readonly int $step)
    {
        $whole = static fn (int $minutes): int => min(self::UNLIMITED, $minutes - $minutes % $step); // what is less than a step is of no use
        $this->allLeft = array_sum(array_map($whole, $lanes->dayLimit));
        $this->deepLeft = array_sum(array_map($whole, $lanes->deepLimit));
        $this->setLeft = array_map(static fn (array $days): int => array_sum(array_map($whole, $days)), $lanes->setLimit);
    }

    public function isLike(self $other): bool
    {
        return $this->deep === $other->deep && $this->all === $other->all && $this->ofSet === $other->ofSet;
    }

    /** Minutes that still fit into a day, whole steps; PHP_INT_MAX less a part of a step where nothing limits it. */
    public function room(int $lane, int $day, bool $isDeep): int
    {
        $lanes = $this->lanes;
        $room = $lanes->dayLimited ? $lanes->dayLimit[$day] - ($this->all[$day] ?? 0) : PHP_INT_MAX;
        if ($lanes->setLimited) {
            $set = $lanes->set[$lane];
            $left = $lanes->setLimit[$set][$day] - ($this->ofSet[$set][$day] ?? 0);
            $room = $left < $room ? $left : $room;
        }
        if ($isDeep && $lanes->deepLimited) {
            $left = $lanes->deepLimit[$day] - ($this->deep[$day] ?? 0);
            $room = $left < $room ? $left : $room;
        }

        return $room <= 0 ? 0 : $room - $room % $this->step;
    }

    /** Minutes that fit into all days together at the very most. */
    public function most(int $lane, bool $isDeep): int
    {
        $most = $this->allLeft < $this->setLeft[$this->lanes->set[$lane]] ? $this->allLeft : $this->setLeft[$this->lanes->set[$lane]];

        return $isDeep && $this->deepLeft < $most ? $this->deepLeft : $most;
    }

    /** @param  int  $minutes  negative where they are given back */
    public function add(int $lane, int $day, bool $isDeep, int $minutes): void
    {
        $lanes = $this->lanes;
        $whole = $minutes - $minutes % $this->step;
        if ($lanes->dayLimited) {
            $this->all[$day] = ($this->all[$day] ?? 0) + $minutes;
            $this->allLeft -= $whole;
        }
        if ($lanes->setLimited) {
            $set = $lanes->set[$lane];
            $this->ofSet[$set][$day] = ($this->ofSet[$set][$day] ?? 0) + $minutes;
            $this->setLeft[$set] -= $whole;
        }
        if ($isDeep && $lanes->deepLimited) {
            $this->deep[$day] = ($this->deep[$day] ?? 0) + $minutes;
            $this->deepLeft -= $whole;
        }
    }
}
