<?php

declare(strict_types=1);

namespace Nekto\Core\Time;

use Nekto\Core\CoreException;

/** A time, a date or a zone that cannot be. */
final class InvalidTime extends \InvalidArgumentException implements CoreException
{
    public static function endNotAfterStart(int $start, int $end): self
    {
        return new self("An interval must end after it starts: {$start} to {$end}.");
    }

    public static function unknownZone(string $name): self
    {
        return new self("Unknown time zone \"{$name}\".");
    }

    public static function notADate(string $text): self
    {
        return new self("\"{$text}\" is not a date (YYYY-MM-DD).");
    }

    public static function minuteOfDay(int $minute): self
    {
        return new self("{$minute} is not a minute of a day (0 to 1440).");
    }
}
