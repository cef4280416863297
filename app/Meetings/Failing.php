<?php

declare(strict_types=1);

namespace App\Meetings;

use App\Models\Calendar;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\BackOff;

/** A calendar that could not be had, or not be read: the last good copy counts, and it is asked for ever more seldom. */
final class Failing
{
    /** @param  int  $again  seconds after which the server wishes to be asked again */
    public static function note(Calendar $calendar, string $why, CarbonImmutable $now, int $again = 0): void
    {
        $failures = $calendar->failures + 1;
        $calendar->fill([
            'tried_at' => $now, 'failures' => $failures, 'failing_since' => $calendar->failing_since ?? $now, 'why' => mb_substr($why, 0, 500),
            'next_at' => $now->addMinutes(max((int) ceil($again / 60), BackOff::minutes($calendar->every ?? CalendarSays::OFTEN, $failures))),
        ])->save();
    }
}
