<?php

declare(strict_types=1);

namespace App\Repeats;

use App\Edits\TaskDoor;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\TaskStage;
use App\Models\User;
use App\Planning\Replan;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/**
 * What lay untouched for as many days as the person's rule says goes to someday by itself: open and unsorted tasks without
 * a date, a set time or a repeat. It is said in the morning, and one key brings it back; what came back rests anew.
 */
final readonly class Rest
{
    /** Tasks that go at once; the others go with the next minute. */
    private const AT_ONCE = 200;

    public function __construct(private Replan $replan, private TaskDoor $door) {}

    public function __invoke(User $user, CarbonImmutable $now): ?PlanRevision
    {
        if ($user->someday_after === null || $user->planRevisions()->where('cause', RevisionCause::Rested)->where('made_at', '>=', $user->local($now)->startOfDay()->utc())->exists()) {
            return null; // once a day is often enough
        }
        $tasks = self::untouched($user, $now);

        return $tasks->isEmpty() ? null : $this->replan->after($user, $now, function () use ($user, $tasks, $now): void {
            foreach ($tasks as $task) {
                $this->door->change($task->setRelation('user', $user), ['stage' => TaskStage::Someday], $now);
            }
        }, RevisionCause::Rested);
    }

    /** The last one that nobody took back, of this day: what the morning speaks of. */
    public static function ofToday(User $user, CarbonImmutable $now): ?PlanRevision
    {
        return $user->someday_after === null ? null : $user->planRevisions()->where('cause', RevisionCause::Rested)->whereNull('undone_at')->where('made_at', '>=', $user->local($now)->startOfDay()->utc())->latest('id')->first();
    }

    /** @return Collection<int, \App\Models\Task> */
    private static function untouched(User $user, CarbonImmutable $now): Collection
    {
        $since = $now->subDays((int) $user->someday_after);

        return $user->tasks()->whereNull('done_at')->whereIn('stage', [TaskStage::Open, TaskStage::Inbox])->where('created_at', '<', $since)
            ->whereNull('due_on')->whereNull('due_at')->whereNull('set_at')->whereNull('repeat_id')->whereNull('waiting_for')
            ->where(static fn (Builder $query) => $query->whereNull('picked_on')->orWhere('picked_on', '<', $user->local($now)->format('Y-m-d')))
            ->where(static fn (Builder $query) => $query->whereNull('not_before')->orWhere('not_before', '<', $since))
            ->whereDoesntHave('events', static fn (Builder $events) => $events->where('at', '>=', $since))
            ->whereNotIn('id', $user->entries()->whereNotNull('task_id')->where('starts_at', '>=', $since)->select('task_id'))
            ->whereDoesntHave('blocks', static fn (Builder $blocks) => $blocks->where('anchored', true)->where('ends_at', '>', $now))
            ->orderBy('id')->limit(self::AT_ONCE)->get();
    }
}
