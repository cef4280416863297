<?php

declare(strict_types=1);

namespace App\Edits;

/** Where something that was caught can go. */
enum Destination: string
{
    case Inbox = 'inbox';
    case Weigh = 'weigh';
    case Project = 'project';
    case Waiting = 'waiting';
    case Someday = 'someday';
    case Reference = 'reference';
    case Done = 'done';
    case LetGo = 'let_go';
}
