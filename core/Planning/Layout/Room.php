<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Layout;

/**
 * Which time is free and how much of each day is used, changed together. A clone costs next to nothing until it changes.
 */
final class Room
{
    public FreeWindows $free;

    public DayUse $use;

    public function __construct(private readonly Compiled $of)
    {
        $this->free = new FreeWindows($of->lanes);
        $this->use = new DayUse($of->lanes, $of->problem->step);
    }

    public function __clone()
    {
        $this->free = clone $this->free;
        $this->use = clone $this->use;
    }

    /** True if the same time is free and the same is used. */
    public function isLike(self $other): bool
    {
        return $this->free->areLike($other->free) && $this->use->isLike($other->use);
    }

    /** True if that time is free in the task's hours and its day is under its limits. */
    public function accepts(int $task, int $start, int $end): bool
    {
        $lane = $this->of->lane[$task];
        $window = $this->free->around($lane, $start, $end);

        return $window !== null && $this->use->room($lane, $this->free->days[$lane][$window], $this->of->deep[$task]) >= $end - $start;
    }

    /** Takes time for a task out of a window of a lane. */
    public function take(int $task, int $lane, int $window, int $start, int $end): void
    {
        $day = $this->free->days[$lane][$window];
        $this->free->take($lane, $window, $start, $end);
        $this->use->add($lane, $day, $this->of->deep[$task], $end - $start);
    }

    /** The same wherever in the task's own lane that time lies; it must be accepted there. */
    public function takeFor(int $task, int $start, int $end): void
    {
        $lane = $this->of->lane[$task];
        $this->take($task, $lane, (int) $this->free->around($lane, $start, $end), $start, $end);
    }

    /** Makes time that a task had in its own lane free again. */
    public function giveBack(int $task, int $start, int $end): void
    {
        $lane = $this->of->lane[$task];
        $this->free->giveBack($lane, $start, $end);
        $this->use->add($lane, $this->of->lanes->dayOf($lane, $start), $this->of->deep[$task], $start - $end);
    }
}
