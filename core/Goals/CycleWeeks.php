<?php

declare(strict_types=1);

namespace Nekto\Core\Goals;

use Nekto\Core\Time\LocalDay;

/** The weeks of a cycle, counted from 1. */
final readonly class CycleWeeks
{
    /** @param  int  $weeks  at least 1 */
    public function __construct(public LocalDay $first, public int $weeks)
    {
        $weeks >= 1 || throw new \InvalidArgumentException("A cycle has at least one week, not {$weeks}.");
    }

    public function last(): LocalDay
    {
        return $this->first->plusDays(7 * $this->weeks - 1);
    }

    /** The first day of a week, also of one before or after the cycle. */
    public function begin(int $week): LocalDay
    {
        return $this->first->plusDays(7 * ($week - 1));
    }

    /** The week a day lies in; null if it lies outside. */
    public function of(LocalDay $day): ?int
    {
        $week = intdiv($day->number - $this->first->number, 7) + 1;

        return $day->number < $this->first->number || $week > $this->weeks ? null : $week;
    }

    public function isOver(LocalDay $day): bool
    {
        return $day->number > $this->last()->number;
    }
}
