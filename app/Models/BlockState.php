<?php

declare(strict_types=1);

namespace App\Models;

/** What has become of a block. */
enum BlockState: string
{
    /** To be worked on, or being worked on. */
    case Planned = 'planned';

    case Done = 'done';

    /** Worked on; the rest was placed again. */
    case Part = 'part';

    /** Its time went by; the work was placed again. */
    case Passed = 'passed';
}
