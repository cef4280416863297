<?php

declare(strict_types=1);

namespace App\Edits;

/** The steps of a first day, in their order. */
enum FirstStep: string
{
    case Hours = 'hours';
    case Calendar = 'calendar';
    case Gather = 'gather';
    case Weigh = 'weigh';
    case Shape = 'shape';

    /** How many there are before it, and itself. */
    public function number(): int
    {
        return 1 + (int) array_search($this, self::cases(), true);
    }
}
