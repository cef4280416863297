<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Layout;

/**
 * How many minutes of each day are used, as far as something limits them: all, the deep ones, those of a set of hours.
 *
 * What always holds (and is asserted in tests): each figure is the sum of the minutes that lie there, and no limit is passed
 * by time that room() allowed.
 */
final class DayUse
{
    /** @var array<int, int> minutes by day */
    private array $all = [];

    /** @var array<int, int> deep minutes by day */
    private array $deep = [];

    /** @var array<int, array<int, int>> minutes by set of hours and day */
    private array $ofSet = [];

    public function __construct(private readonly Lanes $lanes, private readonly int $step) {}

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
            $room = min($room, $lanes->setLimit[$set][$day] - ($this->ofSet[$set][$day] ?? 0));
        }
        if ($isDeep && $lanes->deepLimited) {
            $room = min($room, $lanes->deepLimit[$day] - ($this->deep[$day] ?? 0));
        }

        return $room <= 0 ? 0 : $room - $room % $this->step;
    }

    /** @param  int  $minutes  negative where they are given back */
    public function add(int $lane, int $day, bool $isDeep, int $minutes): void
    {
        $lanes = $this->lanes;
        if ($lanes->dayLimited) {
            $this->all[$day] = ($this->all[$day] ?? 0) + $minutes;
        }
        if ($lanes->setLimited) {
            $set = $lanes->set[$lane];
            $this->ofSet[$set][$day] = ($this->ofSet[$set][$day] ?? 0) + $minutes;
        }
        if ($isDeep && $lanes->deepLimited) {
            $this->deep[$day] = ($this->deep[$day] ?? 0) + $minutes;
        }
    }
}
