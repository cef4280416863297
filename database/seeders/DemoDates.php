<?php

declare(strict_types=1);

namespace Database\Seeders;

use Carbon\CarbonImmutable;

/** Days of the sample scenario, counted from today so that it is always about now. */
final readonly class DemoDates
{
    /** @param  CarbonImmutable  $today  its midnight in the scenario's zone */
    public function __construct(private CarbonImmutable $today) {}

    public function todayIsOff(): bool
    {
        return $this->today->isWeekend();
    }

    public function day(int $days): CarbonImmutable
    {
        return $this->today->addDays($days);
    }

    /** The n-th working day after today; negative: before it. 0 is today, whatever day it is. */
    public function workday(int $number): CarbonImmutable
    {
        return $number === 0 ? $this->today : $this->today->addWeekdays($number);
    }

    /** That working day as a date, or null for none. */
    public function dueOn(?int $number): ?string
    {
        return $number === null ? null : $this->workday($number)->format('Y-m-d');
    }

    /** Today at that wall-clock time. */
    public function at(string $clock): CarbonImmutable
    {
        return $this->today->setTimeFromTimeString($clock);
    }
}
