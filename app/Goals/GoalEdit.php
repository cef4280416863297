<?php

declare(strict_types=1);

namespace App\Goals;

use App\Models\Cycle;
use App\Models\Goal;
use App\Models\GoalMark;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use App\Time\Moments;
use App\Time\Weeks;
use App\Undo\Journal;
use Carbon\CarbonImmutable;

/** Goals made, changed, ordered and taken away, and where their measures stand said by hand. */
final readonly class GoalEdit
{
    /** No more fit a screen, or a quarter. */
    public const MOST = 6;

    public function __construct(private Journal $journal) {}

    /** @param  array<string, mixed>  $columns */
    public function make(User $user, Cycle $cycle, array $columns, CarbonImmutable $now): ?PlanRevision
    {
        return $this->journal->record($user, RevisionCause::Goal, $now, static function () use ($user, $cycle, $columns): void {
            $goal = $cycle->goals()->make($columns + ['position' => (int) $cycle->goals()->max('position') + 1]);
            $goal->user_id = $user->id;
            $goal->save();
        });
    }

    /** @param  array<string, mixed>  $columns */
    public function change(Goal $goal, array $columns, CarbonImmutable $now): ?PlanRevision
    {
        return $this->journal->record($goal->user, RevisionCause::Goal, $now, static fn () => $goal->update($columns));
    }

    /** Its tasks stay; it and its steps are gone, until that is undone. */
    public function remove(Goal $goal, CarbonImmutable $now): ?PlanRevision
    {
        return $this->journal->record($goal->user, RevisionCause::Goal, $now, static fn () => $goal->delete());
    }

    /** Where it stands today: of a weekly measure, what the week has brought so far. */
    public function mark(Goal $goal, float $value, CarbonImmutable $now): ?PlanRevision
    {
        $user = $goal->user;
        $today = Moments::today($user, $now);
        if ($goal->weekly) {
            $value -= (float) $goal->marks()->where('date', '>=', Weeks::first($user, $today)->asString())->where('date', '<', $today->asString())->sum('value');
        }

        return $this->journal->record($user, RevisionCause::Goal, $now, static function () use ($goal, $today, $user, $value): void {
            $mark = $goal->marks()->where('date', $today->asString())->first() ?? new GoalMark(['user_id' => $user->id, 'date' => $today->asString()]);
            $mark->goal_id = $goal->id;
            $mark->fill(['value' => round($value, 2)])->save();
        });
    }
}
