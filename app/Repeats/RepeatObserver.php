<?php

declare(strict_types=1);

namespace App\Repeats;

use App\Models\Task;

/** Lets what repeats come again once its present occurrence is done or let go. */
final readonly class RepeatObserver
{
    public function __construct(private NextOccurrence $next) {}

    public function updated(Task $task): void
    {
        if ($task->wasChanged('done_at') && $task->done_at !== null && $task->repeat_id !== null) {
            ($this->next)($task);
        }
    }

    public function deleted(Task $task): void
    {
        if (! $task->isForceDeleting() && $task->repeat_id !== null && $task->done_at === null) {
            ($this->next)($task);
        }
    }
}
