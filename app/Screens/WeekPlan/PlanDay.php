<?php

declare(strict_types=1);

namespace App\Screens\WeekPlan;

use App\Screens\Week\WeekDay;

/** A day of the week that is planned, as it would be. */
final readonly class PlanDay
{
    /**
     * @param  int  $planned  minutes under the line, with what is proposed
     * @param  int  $line  minutes that it carries
     * @param  int  $deep  of $planned and what is anchored
     */
    public function __construct(public WeekDay $row, public int $planned, public int $line, public int $deep, public int $deepLimit) {}

    public function isOver(): bool
    {
        return $this->planned > $this->line || $this->deep > $this->deepLimit;
    }
}
