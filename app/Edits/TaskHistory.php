<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Task;
use App\Time\Clock;

/** Writes the history of a task. */
final class TaskHistory
{
    /** Changes of these are told; the others are the plan's own or mere text. */
    private const TOLD = [
        'title', 'stage', 'importance', 'push', 'due_on', 'due_at', 'due_hard', 'not_before', 'estimate', 'said', 'demand', 'area_id', 'project_id',
        'picked_on', 'set_at', 'part', 'waiting_for', 'ask_on', 'return_on', 'done_at',
    ];

    public function created(Task $task): void
    {
        $this->tell($task, 'caught', ['source' => $task->source]);
    }

    public function updated(Task $task): void
    {
        $told = array_flip(self::TOLD);
        if ($task->wasChanged('estimate')) {
            unset($told['said']); // it follows
        }
        foreach (array_intersect_key($task->getChanges(), $told) as $column => $value) {
            $before = $task->getRawOriginal($column);
            $this->tell($task, $column, ['from' => is_scalar($before) ? $before : null, 'to' => is_scalar($value) ? $value : null]);
        }
    }

    public function deleted(Task $task): void
    {
        $task->isForceDeleting() || $this->tell($task, 'let_go', []);
    }

    public function restored(Task $task): void
    {
        $this->tell($task, 'brought_back', []);
    }

    /** @param  array<string, int|string|bool|float|null>  $facts */
    private function tell(Task $task, string $what, array $facts): void
    {
        $task->events()->create(['user_id' => $task->user_id, 'what' => $what, 'facts' => $facts, 'at' => Clock::now()]);
    }
}
