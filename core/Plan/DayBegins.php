<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

/** How a day that is laid out begins. Key tasks come early in any case. */
enum DayBegins: string
{
    /** With what pulls most. */
    case Pull = 'pull';

    /** With what is hardest: deep work before all other. */
    case Hard = 'hard';

    /** With something light and short, as a way into the day. */
    case Light = 'light';
}
