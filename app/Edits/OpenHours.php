<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\HoursSet;
use App\Rows\RowMapper;
use Nekto\Core\Hours\Stretch;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;

/** More hours on one day alone, beside those that it has. */
final class OpenHours
{
    /**
     * @param  HoursSet  $set  with its exceptions
     * @param  int  $from  minutes since midnight
     * @param  int  $minutes  as far as the day goes
     */
    public static function on(HoursSet $set, LocalDay $day, int $from, int $minutes): void
    {
        $stretches = [...RowMapper::hours($set)->on($day), new Stretch($from, min(1440, $from + $minutes))];
        $open = IntervalSet::covering(...array_map(static fn (Stretch $one): Interval => new Interval($one->from, $one->to), $stretches));
        $set->exceptions()->updateOrCreate(['date' => $day->asString()], ['stretches' => array_map(
            static fn (Interval $one): array => [Stretch::clock($one->start), Stretch::clock($one->end)],
            $open->intervals,
        )]);
    }
}
