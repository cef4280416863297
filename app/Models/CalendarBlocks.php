<?php

declare(strict_types=1);

namespace App\Models;

/** Which meetings of a calendar keep their time from being planned, of those that are busy at all. */
enum CalendarBlocks: string
{
    /** Also those that are not sure, or not answered. */
    case All = 'all';

    case Sure = 'sure';

    case None = 'none';
}
