<?php

declare(strict_types=1);

namespace App\ICalendar;

use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\ParseException;
use Sabre\VObject\Reader;

/** What sabre/vobject makes of a component. */
final class Parsed
{
    /** @throws ParseException */
    public static function calendar(string $component, bool $forgiving = false): VCalendar
    {
        $calendar = self::quietly(static fn () => Reader::read("BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Nekto//EN\r\n{$component}\r\nEND:VCALENDAR\r\n", $forgiving ? Reader::OPTION_FORGIVING : 0));

        return $calendar instanceof VCalendar ? $calendar : throw new ParseException('No calendar.');
    }

    /**
     * Without its notices of what PHP will no longer do: they are sabre/vobject's, not ours.
     *
     * @template T
     *
     * @param  \Closure(): T  $do
     * @return T
     */
    public static function quietly(\Closure $do): mixed
    {
        $level = error_reporting(error_reporting() & ~E_DEPRECATED & ~E_USER_DEPRECATED);
        try {
            return $do();
        } finally {
            error_reporting($level);
        }
    }
}
