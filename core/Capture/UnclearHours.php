<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/** Why a line does not say on which days there are which hours. */
enum UnclearHours: string
{
    case NoDay = 'no_day';
    case NoSuchDay = 'no_such_day';
    case NoHours = 'no_hours';
    case BadHours = 'bad_hours';
    case BackToFront = 'back_to_front';
    case TooLong = 'too_long';
}
