<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Task;
use Carbon\CarbonImmutable;

/** Another due day, said by a form that knows no time: what is due at a certain time stays due at that time of the new day. */
final class DueDay
{
    /**
     * @param  string|null  $day  Y-m-d, the person's local day; null: no due date any more
     * @return array{due_on: string|null, due_at: CarbonImmutable|null}
     */
    public static function columns(Task $task, ?string $day): array
    {
        if ($day === null || $task->due_at === null) {
            return ['due_on' => $day, 'due_at' => null];
        }
        $local = $task->user->local($task->due_at);

        return ['due_on' => null, 'due_at' => $local->format('Y-m-d') === $day ? $task->due_at : $local->setDateFrom(CarbonImmutable::parse($day))->utc()];
    }
}
