<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

/** How readily a plan is changed for a better one. */
enum Tempo: string
{
    /** Moves what must move, and little else. */
    case Calm = 'calm';

    /** Moves work where that clearly pays. */
    case Even = 'even';

    /** Takes the best plan there is, whatever moves. */
    case Eager = 'eager';

    /** What a moved minute must save to be worth it, in twentieths of a minute of the objective. */
    public function price(): int
    {
        return match ($this) {
            self::Calm => 148,
            self::Even => 80,
            self::Eager => 0,
        };
    }
}
