<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\BlockState;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use App\Planning\Replan;
use App\Rows\Picks;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;

/** Clears the rest of a day and lays its work out elsewhere, anchored blocks too; or gives it back. */
final readonly class EndDay
{
    public function __construct(private Replan $replan, private TaskDoor $door) {}

    public function __invoke(User $user, CarbonImmutable $now): ?PlanRevision
    {
        $today = Moments::today($user, $now);
        $end = Moments::moment(Zones::named($user->zone)->day($today)->end);

        return ($this->replan)($user, $now, RevisionCause::Ended, first: function () use ($user, $now, $today, $end): void {
            StopClock::of($user, $now);
            $user->blocks()->planned()->where('starts_at', $now)->delete();
            $user->blocks()->planned()->where('starts_at', '<', $now)->where('ends_at', '>', $now)->update(['state' => BlockState::Part, 'ends_at' => $now, 'put_back' => false]);
            $user->blocks()->planned()->where('starts_at', '>=', $now)->where('starts_at', '<', $end)->update(['anchored' => false, 'put_back' => false]);
            foreach ((new Picks($user, $today))->withLeftOvers($user->tasks()->getQuery())->whereNull('done_at')->get() as $task) {
                $this->door->change($task->setRelation('user', $user), ['picked_on' => null], $now);
            }
            $user->earlyEnds()->firstOrCreate(['until_at' => $end], ['from_at' => $now]);
        });
    }

    public function takeBack(User $user, CarbonImmutable $now): ?PlanRevision
    {
        return ($this->replan)($user, $now, RevisionCause::Changed, first: static function () use ($user, $now): void {
            $user->earlyEnds()->where('until_at', '>', $now)->where('from_at', '<=', $now)->delete();
        });
    }
}
