<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Planning\Replan;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;

/** Puts tasks where they belong, as one change. */
final readonly class Sort
{
    public function __construct(private Replan $replan) {}

    /**
     * @param  Collection<int, Task>  $tasks
     * @param  array<string, mixed>  $facts  columns that belong to the answer, as whom to wait for
     */
    public function __invoke(User $user, Collection $tasks, Destination $to, array $facts, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($user, $now, function () use ($user, $tasks, $to, $facts, $now): void {
            foreach ($tasks as $task) {
                $to === Destination::LetGo ? $task->delete() : $task->update($this->columns($user, $task, $to, $facts, $now));
            }
        }, RevisionCause::Sorted);
    }

    /**
     * @param  array<string, mixed>  $facts
     * @return array<string, mixed>
     */
    private function columns(User $user, Task $task, Destination $to, array $facts, CarbonImmutable $now): array
    {
        return $facts + match ($to) {
            Destination::Inbox => ['stage' => TaskStage::Inbox],
            Destination::Weigh, Destination::Project => ['stage' => TaskStage::Open, 'ask_on' => null, 'return_on' => null, 'waiting_for' => null, 'waiting_since' => null],
            Destination::Waiting => ['stage' => TaskStage::Waiting, 'waiting_since' => $task->waiting_since ?? $user->local($now)->format('Y-m-d')],
            Destination::Someday => ['stage' => TaskStage::Someday],
            Destination::Reference => ['stage' => TaskStage::Reference],
            Destination::Done => ['done_at' => $now, 'minutes_left' => $task->minutes_left === null ? null : 0],
            Destination::LetGo => [],
        };
    }
}
