<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use App\Planning\Replan;
use App\Rows\Picks;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** Gives each task of a week its day: it is picked for it, so that the morning only confirms. */
final readonly class PlanWeek
{
    public function __construct(private Replan $replan, private TaskDoor $door) {}

    /**
     * @param  array<int, int|null>  $days  numbers of days by task; null: it waits, and was picked for a day of the week
     * @param  LocalDay  $first  of the week
     */
    public function __invoke(User $user, array $days, LocalDay $first, CarbonImmutable $now): ?PlanRevision
    {
        $today = Moments::today($user, $now);
        $tasks = $user->tasks()->open()->whereKey(array_keys($days))->with('user')->get();

        return ($this->replan)($user, $now, RevisionCause::Picked, first: function () use ($tasks, $days, $first, $today, $now): void {
            foreach ($tasks as $task) {
                $day = $days[$task->id];
                if ($day !== null && $day >= $today->number) {
                    $this->door->change($task, Picks::columns($task, new LocalDay($day)), $now);
                } elseif ($day === null && $task->picked_on !== null && $task->picked_on < $first->plusDays(7)->asString()) {
                    $this->door->change($task, ['picked_on' => null], $now);
                }
            }
        });
    }
}
