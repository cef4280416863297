<?php

declare(strict_types=1);

namespace App\Models;

/** What moves the measure of a goal. */
enum MovedBy: string
{
    /** The person says where it stands. */
    case Hand = 'hand';

    /** Each of its tasks that is done counts one. */
    case Tasks = 'tasks';

    /** Hours worked on its tasks. */
    case Hours = 'hours';

    /** Subtasks of one task that are done. */
    case Subtasks = 'subtasks';
}
