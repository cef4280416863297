<?php

declare(strict_types=1);

namespace App\Wording;

use Nekto\Core\Hours\HoursReader;
use Nekto\Core\Hours\InvalidHours;

/** The time of a day that a field was given: "9", "14:30", "2:30 pm". */
final class TypedTime
{
    /** Minutes since midnight, 0 to 1439; null where it is none. */
    public static function minute(mixed $text): ?int
    {
        try {
            $minutes = is_string($text) ? HoursReader::clock($text) : 1440;
        } catch (InvalidHours) {
            return null;
        }

        return $minutes < 1440 ? $minutes : null;
    }
}
