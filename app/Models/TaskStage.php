<?php

declare(strict_types=1);

namespace App\Models;

/** Where a task is on its way: caught, or sorted and to be done. */
enum TaskStage: string
{
    case Inbox = 'inbox';
    case Open = 'open';
}
