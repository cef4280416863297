<?php

declare(strict_types=1);

namespace App\Review;

/** What "next time" can become with one press. */
enum SlipRule: string
{
    /** A quarter of an hour kept free after each meeting. */
    case After = 'after';

    /** The plan lays out what such work carefully takes. */
    case Careful = 'careful';

    /** Five of a hundred more of each day kept free. */
    case Margin = 'margin';

    /** Half an hour each weekday for what comes up. */
    case Reserve = 'reserve';

    /** The first hours open an hour earlier next week, Monday to Thursday. */
    case Hours = 'hours';

    /** Answers are asked about two days sooner. */
    case Sooner = 'sooner';

    /** The one that fits a reason as it was written. */
    public static function for(string $reason): self
    {
        foreach (['/meeting|call|visit/i' => self::After, '/estimat|longer|short/i' => self::Careful, '/urgent|came|interrupt/i' => self::Reserve, '/wait|answer|reply/i' => self::Sooner, '/room|hours|no time/i' => self::Hours] as $like => $rule) {
            if (preg_match($like, $reason) === 1) {
                return $rule;
            }
        }

        return self::Margin;
    }
}
