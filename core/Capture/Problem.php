<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/** Why words that look like a date or a duration were not taken as one. */
enum Problem: string
{
    case NoSuchDate = 'no_such_date';
    case NoSuchTime = 'no_such_time';
    case BeforeNow = 'before_now';
    case NotPositive = 'not_positive';
    case TooLong = 'too_long';

    /** A form's duration field that holds something else. */
    case NoDuration = 'no_duration';
}
