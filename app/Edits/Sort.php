<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;

/** Puts tasks where they belong, as one change. */
final readonly class Sort
{
    public function __construct(private TaskEdit $edit) {}

    /**
     * @param  Collection<int, Task>  $tasks
     * @param  array<string, mixed>  $facts  columns that belong to the answer, as whom to wait for
     * @param  string|null  $project  the name of the one they go into
     * @param  CarbonImmutable|null  $said  when it was pressed, if that was before it came
     */
    public function __invoke(User $user, Collection $tasks, Destination $to, array $facts, ?string $project, CarbonImmutable $now, ?CarbonImmutable $said = null): ?PlanRevision
    {
        if ($to === Destination::LetGo) {
            return $this->edit->letGo($user, $tasks, $now, RevisionCause::Sorted);
        }
        if ($to === Destination::Done) {
            return $this->edit->changeAll($user, $tasks, static fn (Task $task): array => ['done_at' => DoneAt::of($task, $said, $now)], $now, RevisionCause::Sorted, $project);
        }
        $columns = $facts + match ($to) {
            Destination::Inbox => ['stage' => TaskStage::Inbox],
            Destination::Weigh, Destination::Project => ['stage' => TaskStage::Open],
            Destination::Waiting => ['stage' => TaskStage::Waiting],
            Destination::Someday => ['stage' => TaskStage::Someday],
            Destination::Reference => ['stage' => TaskStage::Reference],
        };

        return $this->edit->changeAll($user, $tasks, $columns, $now, RevisionCause::Sorted, $project);
    }
}
