<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\HoursSet;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use App\Planning\Overrun;
use App\Planning\Replan;
use App\Planning\TakeDay;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** Makes a change that was worked out; also within a Trial, where it is looked at first. */
final readonly class MakeChange
{
    public function __construct(private Replan $replan, private LetWait $wait, private TaskDoor $door, private TakeWay $take) {}

    public function __invoke(User $user, LocalDay $day, Change $change, CarbonImmutable $now): ?PlanRevision
    {
        return match ($change->kind) {
            ChangeKind::LayOut => ($this->replan)($user, $now, RevisionCause::LaidOut, afresh: true, hold: $change->hold, then: static fn () => TakeDay::today($user, TakeDay::LAID_OUT, $now)),
            ChangeKind::Wait => ($this->wait)($user, $change->tasks, $day, $now),
            ChangeKind::Longer => ($this->replan)($user, $now, RevisionCause::WayTaken, first: fn () => $this->openLonger($user, $day, $change->minutes)),
            ChangeKind::Cut => ($this->replan)($user, $now, RevisionCause::WayTaken, first: fn () => $this->cut($user, $change, $now)),
            ChangeKind::Way => $change->way === null ? null : ($this->replan)($user, $now, RevisionCause::WayTaken, afresh: true, first: fn () => ($this->take)($user, $change->way, $now), hold: $change->hold),
            ChangeKind::Mend => ($this->replan)($user, $now, RevisionCause::MendTaken, first: fn () => $this->mend($user, $change->hold, $now)),
            ChangeKind::Picks => ($this->replan)($user, $now, RevisionCause::Picked, first: fn () => $this->pick($user, $day, $change, $now), laidOut: $day, then: static function () use ($user, $day, $now): void {
                $day->equals(Moments::today($user, $now)) && TakeDay::today($user, TakeDay::PROPOSAL, $now);
            }),
        };
    }

    /** The first set of hours, on that day alone. */
    private function openLonger(User $user, LocalDay $day, int $minutes): void
    {
        $set = $user->hoursSets()->with('exceptions')->first();
        $stretches = $set instanceof HoursSet ? RowMapper::hours($set)->on($day) : [];
        if ($set === null || $stretches === []) {
            return;
        }
        $last = end($stretches)->to;
        $last < 1440 && OpenHours::on($set, $day, $last, $minutes);
    }

    private function cut(User $user, Change $change, CarbonImmutable $now): void
    {
        foreach ($user->tasks()->whereKey($change->tasks)->with('user')->get() as $task) {
            $this->door->change($task, CutBy::columns($task, $change->minutes, $now), $now);
        }
    }

    /** @param  list<int>  $tasks  whose blocks mending leaves alone from now on */
    private function mend(User $user, array $tasks, CarbonImmutable $now): void
    {
        Overrun::extend($user, $now);
        $user->blocks()->planned()->whereIn('task_id', $tasks)->update(['put_back' => true]);
    }

    private function pick(User $user, LocalDay $day, Change $change, CarbonImmutable $now): void
    {
        $today = Moments::today($user, $now);
        $before = $day->equals($today) ? (new Picks($user, $today))->withLeftOvers($user->tasks()->getQuery()) : $user->tasks()->where('picked_on', $day->asString())->getQuery();
        foreach ($before->whereNull('done_at')->whereNotIn('id', $change->tasks)->get() as $task) { // what is done stays the day's
            $this->door->change($task->setRelation('user', $user), ['picked_on' => null], $now);
        }
        $done = $user->tasks()->where('key', true)->whereNotNull('done_at')->where('picked_on', $day->asString())->whereKeyNot($change->tasks)->count(); // they are of the three
        $keys = array_slice($change->keys, 0, max(0, $user->keys_most - $done));
        foreach ($user->tasks()->whereKey($change->tasks)->with('user')->get() as $task) {
            $this->door->change($task, ['key' => in_array($task->id, $keys, true), ...Picks::columns($task, $day)], $now);
        }
    }
}
