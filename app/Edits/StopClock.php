<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Task;
use App\Models\User;
use App\Rows\RunningClock;
use Carbon\CarbonImmutable;

/** The clock stops now; one that was forgotten stopped when it probably should have. */
final class StopClock
{
    /** @param  Task|null  $task  only if it runs for that one */
    public static function of(User $user, CarbonImmutable $now, ?Task $task = null): void
    {
        $running = $user->entries()->whereNull('ends_at');
        foreach (($task === null ? $running : $running->where('task_id', $task->id))->get() as $entry) {
            $entry->starts_at >= $now ? $entry->delete() : $entry->update(['ends_at' => RunningClock::isForgotten($user, $entry, $now) ? RunningClock::likelyEnd($user, $entry) : $now]);
        }
    }
}
