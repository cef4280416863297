<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Task;
use Carbon\CarbonImmutable;

/** When a task was done whose "done" had to wait before it came: when it was pressed, unless somebody worked on it since, elsewhere. */
final class DoneAt
{
    /** @param  CarbonImmutable|null  $said  when it was pressed; null: as it came */
    public static function of(Task $task, ?CarbonImmutable $said, CarbonImmutable $now): CarbonImmutable
    {
        if ($said === null || $said >= $now) {
            return $now;
        }

        return $task->user->entries()->where('task_id', $task->id)->where('starts_at', '>=', $said)->exists() ? $now : $said;
    }
}
