<?php

declare(strict_types=1);

namespace App\ICalendar;

/** What an event says of itself in words. */
final class Description
{
    /** Of the first event of a group; empty if there is none. */
    public static function of(string $source): string
    {
        preg_match('/^DESCRIPTION[;:].*$/mi', $source, $line);
        $text = Line::read(rtrim($line[0] ?? ''))?->text() ?? '';

        return trim((string) preg_replace(['/<br\s*\/?>/i', '/<[^>]{1,500}>/', '/(?![\n\t])\p{Cc}/u', '/\n{3,}/'], ["\n", '', '', "\n\n"], $text));
    }
}
