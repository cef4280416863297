<?php

declare(strict_types=1);

namespace App\Models;

/** Which value of an estimate the plan lays out. */
enum EstimateUse: string
{
    case Typed = 'typed';

    /** The median of such work. */
    case Likely = 'likely';

    /** What eight of ten such tasks stay within. */
    case Careful = 'careful';
}
