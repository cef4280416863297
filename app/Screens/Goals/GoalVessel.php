<?php

declare(strict_types=1);

namespace App\Screens\Goals;

/** The work left of a goal against the open time until its date; everything in minutes. */
final readonly class GoalVessel
{
    /**
     * @param  int  $other  work of others that is due by then too
     * @param  int  $own  left of it
     * @param  int  $undated  of that, what has no date by then of its own: the curves of Horizon do not know it
     * @param  int  $open  until then, in its hours and under the load lines
     * @param  int|null  $deepRoom  what the deep limit leaves of it, where some of it is deep; else null
     * @param  string  $until  the date, as it is said
     * @param  string  $set  the name of the hours
     */
    public function __construct(public int $other, public int $own, public int $undated, public int $open, public ?int $deepRoom, public string $until, public string $set) {}

    /** The lesser of what all work has and what deep work has, as Horizon says it. */
    public function room(): int
    {
        return min($this->plainRoom(), $this->deepRoom ?? PHP_INT_MAX);
    }

    public function isDeep(): bool
    {
        return $this->room() < $this->plainRoom();
    }

    public function plainRoom(): int
    {
        return $this->open - $this->other - $this->own;
    }

    public function short(): int
    {
        return max(0, -$this->room());
    }

    /** What the scale must reach. */
    public function reach(): int
    {
        return max($this->open + $this->short(), $this->other + $this->own);
    }
}
