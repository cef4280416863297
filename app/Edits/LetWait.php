<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use App\Planning\Replan;
use App\Rows\Blocks;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** Takes tasks off a day: back to the bank, laid out from the day after on. What has begun stays. */
final readonly class LetWait
{
    public function __construct(private Replan $replan, private TaskDoor $door) {}

    /** @param  list<int>  $tasks  ids; those of others are passed over */
    public function __invoke(User $user, array $tasks, LocalDay $day, CarbonImmutable $now): ?PlanRevision
    {
        $span = Zones::named($user->zone)->day($day);
        $after = Moments::moment($span->end);

        return ($this->replan)($user, $now, RevisionCause::Banked, first: function () use ($user, $tasks, $span, $after, $now): void {
            foreach ($user->tasks()->whereKey($tasks)->with('user')->get() as $task) {
                Blocks::during($user, $span)->planned()->where('task_id', $task->id)->where('starts_at', '>=', $now)->delete();
                $this->door->change($task, ['picked_on' => null, 'not_before' => max($after, $task->not_before ?? $after)], $now);
            }
        });
    }
}
