<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\PlanRevision;
use App\Models\Task;
use Carbon\CarbonImmutable;

/** Changes of a task that may move its place: recorded like every other, and the plan follows once there is one. */
final readonly class TaskEdit
{
    public function __construct(private Replan $replan) {}

    /** @param  array<string, mixed>  $columns */
    public function change(Task $task, array $columns, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($task->user, $now, static function () use ($task, $columns): void {
            $task->update($columns);
        });
    }

    public function letGo(Task $task, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($task->user, $now, static function () use ($task): void {
            $task->delete();
        });
    }
}
