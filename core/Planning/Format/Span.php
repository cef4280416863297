<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Format;

use Nekto\Core\Hours\WeeklyHours;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Zone;

/** The local days that a problem is about. */
final readonly class Span
{
    public function __construct(public Zone $zone, public LocalDay $first, public int $days) {}

    public function end(): int
    {
        return $this->zone->at($this->first->plusDays($this->days), 0);
    }

    public function open(WeeklyHours $hours): IntervalSet
    {
        return $hours->during($this->zone, $this->first, $this->days);
    }
}
