<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\PlanRevision;
use App\Models\RefusedTime;
use App\Models\RevisionCause;
use App\Models\Subtask;
use App\Models\Task;
use App\Models\User;
use App\Planning\Replan;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Task\Shares;
use Nekto\Core\Time\Grid;

/** Changes of tasks that may move their place: recorded like every other, and the plan follows once there is one. */
final readonly class TaskEdit
{
    public function __construct(private Replan $replan, private TaskDoor $door) {}

    /**
     * @param  array<string, mixed>  $columns
     * @param  string|null  $project  the name of the project it goes into; one that is missing is made
     * @param  list<string>|null  $contexts  all of its contexts, by name; null leaves them
     */
    public function change(Task $task, array $columns, CarbonImmutable $now, RevisionCause $cause = RevisionCause::Changed, ?string $project = null, ?array $contexts = null): ?PlanRevision
    {
        return $this->changeAll($task->user, new Collection([$task]), $columns, $now, $cause, $project, static function () use ($task, $contexts): void {
            $contexts === null || $task->contexts()->sync(array_map(static fn (string $name): int => $task->user->contexts()->firstOrCreate(['name' => $name])->id, $contexts));
        });
    }

    /**
     * The same change of several tasks.
     *
     * @param  Collection<int, Task>  $tasks
     * @param  array<string, mixed>|\Closure(Task): array<string, mixed>  $columns
     * @param  \Closure(): void|null  $also  what belongs to the same change
     */
    public function changeAll(User $user, Collection $tasks, array|\Closure $columns, CarbonImmutable $now, RevisionCause $cause = RevisionCause::Changed, ?string $project = null, ?\Closure $also = null): ?PlanRevision
    {
        /** @var list<RefusedTime> $refused */
        $refused = [];
        $revision = $this->replan->after($user, $now, function () use ($user, $tasks, $columns, $now, $project, $also, &$refused): void {
            $into = $project === null ? [] : ['project_id' => (new ProjectNames($user))->of($project, $tasks->first()?->area_id)->id];
            foreach ($tasks as $task) {
                $task->setRelation('user', $user);
                $one = $this->door->change($task, $into + ($columns instanceof \Closure ? $columns($task) : $columns), $now);
                $one === null || $refused[] = $one;
            }
            $also === null || $also();
        }, $cause);

        return $revision?->refusing($refused);
    }

    /**
     * A change of what belongs to a task. Who ticks a step off says what is left: what is not done. A task of which nobody
     * said how long it takes follows what its steps add up to; what somebody said stays.
     *
     * @param  \Closure(): void  $change
     */
    public function around(Task $task, CarbonImmutable $now, \Closure $change): ?PlanRevision
    {
        return $this->replan->after($task->user, $now, function () use ($task, $now, $change): void {
            $done = self::done($task);
            $change();
            $follows = $task->by_steps || $task->estimate === null;
            $sum = (int) $task->subtasks()->sum('estimate');
            $estimate = $follows && $sum > 0 ? $sum : $task->estimate;
            $left = $done === self::done($task) ? [] : ['left' => max(Grid::STEP, self::shares($task, $estimate)->left)];
            if ($estimate !== null && ($left !== [] || $estimate !== $task->estimate)) {
                $this->door->change($task, ['estimate' => $estimate, 'by_steps' => $follows && $sum > 0, ...$left], $now);
            }
        });
    }

    /** @return list<int> of the steps that are done */
    private static function done(Task $task): array
    {
        return array_values($task->subtasks()->whereNotNull('done_at')->pluck('id')->all());
    }

    private static function shares(Task $task, ?int $estimate): Shares
    {
        return new Shares($estimate, array_values($task->subtasks()->get()->map(static fn (Subtask $one): array => [$one->estimate, $one->done_at !== null])->all()));
    }

    /** @param  Collection<int, Task>  $tasks */
    public function letGo(User $user, Collection $tasks, CarbonImmutable $now, RevisionCause $cause = RevisionCause::Changed): ?PlanRevision
    {
        return $this->replan->after($user, $now, static function () use ($user, $tasks, $now): void {
            foreach ($tasks as $task) {
                StopClock::of($user, $now, $task);
                $task->delete();
            }
        }, $cause);
    }

    /** What was let go comes back to where it was. */
    public function bringBack(Task $task, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($task->user, $now, static function () use ($task): void {
            $task->restore();
        });
    }
}
