<?php

declare(strict_types=1);

namespace App\ICalendar;

/** One event or to-do of a calendar file, cut out but not read yet. */
final readonly class CalendarComponent
{
    /**
     * @param  string  $uid  its own, or one made from its text
     * @param  int  $line  where it begins in the file, from 1
     * @param  string  $text  unfolded; before it the zones it uses that are known by no name (VTIMEZONE)
     */
    public function __construct(public string $uid, public int $line, public string $text) {}
}
