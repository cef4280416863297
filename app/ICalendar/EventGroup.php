<?php

declare(strict_types=1);

namespace App\ICalendar;

/** All events of a file that share a UID: one event, or a series with its changed occurrences. */
final readonly class EventGroup
{
    /**
     * @param  int  $line  where the first of them begins in the file, from 1
     * @param  string  $text  their unfolded VEVENT components; time zones are named as PHP knows them
     */
    public function __construct(public string $uid, public int $line, public string $text) {}
}
