<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

/** How readily a plan is changed for a better one. */
enum Tempo: string
{
    /** Mends: moves what must move, and nothing else. */
    case Calm = 'calm';

    /** Moves work where that clearly pays. */
    case Even = 'even';

    /** Takes the best plan there is, whatever moves. */
    case Eager = 'eager';
}
