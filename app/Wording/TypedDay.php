<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\User;
use App\Time\Clock;
use App\Time\Moments;
use Nekto\Core\Capture\DayReader;
use Nekto\Core\Time\InvalidTime;

/** The day that typed words name: in English as Nekto's grammar has it, or as the person's own dates look. */
final class TypedDay
{
    /** As 2026-03-13; null where they name none. */
    public static function read(User $user, string $text): ?string
    {
        $text = Dates::of($user)->understood(trim($text));
        if (preg_match('/^(?:'.DayReader::PHRASE.')$/iuD', $text) !== 1) {
            return null;
        }
        try {
            return (new DayReader(Moments::today($user, Clock::now()), $user->month_first))->read($text)->asString();
        } catch (InvalidTime) {
            return null;
        }
    }
}
