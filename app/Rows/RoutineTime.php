<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\Routine;
use App\Models\RoutineDay;
use Nekto\Core\Time\Grid;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Zone;

/** A routine as it lies on one day. */
final readonly class RoutineTime
{
    /** @param  list<int>  $ticked  places of its parts that are done */
    private function __construct(public Routine $routine, public LocalDay $day, public Interval $time, public bool $isMoved, public array $ticked) {}

    /** Null on a day on which it is not, by its rule or because it was dropped. */
    public static function on(Routine $routine, LocalDay $day, ?RoutineDay $other, Zone $zone): ?self
    {
        if (! $routine->isOn($day) || $other?->dropped === true) {
            return null;
        }
        $at = Grid::down($other->at ?? $routine->at);
        $start = $zone->at($day, $at);
        $end = $zone->at($day, min(1440, $at + max(Grid::STEP, $other->minutes ?? $routine->minutes)));

        return $end > $start ? new self($routine, $day, new Interval($start, $end), $other?->at !== null || $other?->minutes !== null, $other->ticked ?? []) : null;
    }
}
