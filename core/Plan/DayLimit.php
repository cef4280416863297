<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

/** The most minutes that may be planned on a local day. */
final readonly class DayLimit
{
    /**
     * @param  int|null  $minutes  for every day without a limit of its own; null is no limit
     * @param  array<int, int>  $byDay  minutes by the day's number
     */
    public function __construct(public ?int $minutes = null, public array $byDay = []) {}

    /** Minutes; PHP_INT_MAX where there is no limit. */
    public function on(int $day): int
    {
        return $this->byDay[$day] ?? $this->minutes ?? PHP_INT_MAX;
    }

    /** The same with so many more minutes on one day. */
    public function raisedOn(int $day, int $minutes): self
    {
        $limit = $this->on($day);

        return $limit === PHP_INT_MAX ? $this : new self($this->minutes, [$day => $limit + $minutes] + $this->byDay);
    }

    /**
     * The same, but no less than these.
     *
     * @param  array<int, int>  $byDay  minutes by the day's number
     */
    public function atLeast(array $byDay): self
    {
        $raised = $this->byDay;
        foreach ($byDay as $day => $minutes) {
            $raised[$day] = max($minutes, $this->on($day));
        }

        return $this->minutes === null && $this->byDay === [] ? $this : new self($this->minutes, $raised);
    }

    public function isNone(): bool
    {
        return $this->minutes === null && $this->byDay === [];
    }
}
