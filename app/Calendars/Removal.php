<?php

declare(strict_types=1);

namespace App\Calendars;

/** How much of a meeting is taken away. */
enum Removal: string
{
    case One = 'one';
    case FromHere = 'from_here';
    case All = 'all';
}
