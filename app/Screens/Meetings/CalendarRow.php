<?php

declare(strict_types=1);

namespace App\Screens\Meetings;

use App\Models\Calendar;

/** A calendar in the list, and how it stands with it. */
final readonly class CalendarRow
{
    /** @param  string  $state  where it comes from, when it was looked at, how much is in it */
    public function __construct(public Calendar $calendar, public string $state, public int $entries) {}
}
