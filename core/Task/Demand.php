<?php

declare(strict_types=1);

namespace Nekto\Core\Task;

/** What a task asks of the head; deep work has a limit a day. */
enum Demand: string
{
    case Light = 'light';
    case Deep = 'deep';
}
