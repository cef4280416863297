<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\BlockState;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\User;
use App\Planning\Replan;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;

/** Changes of a task that may move its place: recorded like every other, and the plan follows once there is one. */
final readonly class TaskEdit
{
    public function __construct(private Replan $replan) {}

    /** @param  array<string, mixed>  $columns */
    public function change(Task $task, array $columns, CarbonImmutable $now, RevisionCause $cause = RevisionCause::Changed): ?PlanRevision
    {
        return $this->replan->after($task->user, $now, static function () use ($task, $columns): void {
            $task->update($columns);
            self::anchorSetTime($task);
        }, $cause);
    }

    /**
     * A change of what belongs to a task. Estimates of subtasks add up to its own; what is left are those not done.
     *
     * @param  \Closure(): void  $change
     */
    public function around(Task $task, CarbonImmutable $now, \Closure $change): ?PlanRevision
    {
        return $this->replan->after($task->user, $now, static function () use ($task, $change): void {
            $change();
            $sum = (int) $task->subtasks()->sum('estimate');
            if ($sum > 0) {
                $task->update(['estimate' => $sum, 'minutes_left' => max(5, (int) $task->subtasks()->whereNull('done_at')->sum('estimate'))]);
            }
        });
    }

    /** A set time becomes a block there as soon as the task can be planned. */
    private static function anchorSetTime(Task $task): void
    {
        $changed = $task->wasChanged('set_at') || $task->wasChanged('importance') || $task->wasChanged('stage') || $task->wasChanged('estimate');
        if ($changed && $task->set_at !== null && $task->set_at > Clock::now() && $task->hasWorkToPlan()) {
            $task->blocks()->where('state', BlockState::Planned)->where('anchored', true)->delete();
            $block = $task->blocks()->make(['starts_at' => $task->set_at, 'ends_at' => $task->set_at->addMinutes((int) $task->minutes_left), 'anchored' => true]);
            $block->user_id = $task->user_id;
            $taken = $task->user->blocks()->where('state', BlockState::Planned)->where(static fn ($query) => $query->where('anchored', true)->orWhere('kept', true))
                ->where('starts_at', '<', $block->ends_at)->where('ends_at', '>', $block->starts_at)->exists();
            $taken || $block->save();
        }
    }

    /**
     * @param  Collection<int, Task>  $tasks
     * @param  array<string, mixed>  $columns
     */
    public function changeAll(User $user, Collection $tasks, array $columns, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($user, $now, static function () use ($tasks, $columns): void {
            foreach ($tasks as $task) {
                $task->update($columns);
            }
        });
    }

    public function letGo(Task $task, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($task->user, $now, static function () use ($task): void {
            $task->delete();
        });
    }
}
