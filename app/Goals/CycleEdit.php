<?php

declare(strict_types=1);

namespace App\Goals;

use App\Models\Cycle;
use App\Models\Goal;
use App\Models\GoalStep;
use App\Models\MovedBy;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use App\Rows\GoalSteps;
use App\Time\Moments;
use App\Time\Weeks;
use App\Undo\Journal;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** Cycles begun, changed, and closed with an account; the next one begins with what is carried over. */
final readonly class CycleEdit
{
    public const WEEKS = 12;

    public function __construct(private Journal $journal) {}

    /** The one that goes on; null where none does. */
    public static function present(User $user): ?Cycle
    {
        return $user->cycles()->whereNull('closed_at')->first();
    }

    /** @param  LocalDay|null  $from  a day of its first week; null: this week */
    public function begin(User $user, ?LocalDay $from, int $weeks, ?string $vision, CarbonImmutable $now): ?PlanRevision
    {
        $first = Weeks::first($user, $from ?? Moments::today($user, $now));

        return $this->journal->record($user, RevisionCause::Goal, $now, static function () use ($user, $first, $weeks, $vision): void {
            $user->cycles()->create(['begins_on' => $first->asString(), 'weeks' => $weeks, 'vision' => $vision]);
        });
    }

    /** @param  array<string, mixed>  $columns */
    public function change(User $user, Cycle $cycle, array $columns, CarbonImmutable $now): ?PlanRevision
    {
        if (isset($columns['begins_on'])) {
            $columns['begins_on'] = Weeks::first($user, LocalDay::fromString($columns['begins_on']))->asString();
        }

        return $this->journal->record($user, RevisionCause::Goal, $now, static fn () => $cycle->update($columns));
    }

    /**
     * Keeps its account and begins the next cycle, with its vision, the goals that are carried over, and their open steps in
     * its first week.
     *
     * @param  array<string, mixed>  $account
     * @param  list<int>  $carry  goals
     */
    public function close(User $user, Cycle $cycle, array $account, array $carry, CarbonImmutable $now): ?PlanRevision
    {
        $today = Moments::today($user, $now);
        $after = $cycle->span()->last()->plusDays(1);
        $first = $after->number < $today->number ? Weeks::first($user, $today) : $after;

        return $this->journal->record($user, RevisionCause::Goal, $now, static function () use ($user, $cycle, $account, $carry, $first, $now): void {
            $cycle->update(['closed_at' => $now, 'account' => $account]);
            $next = $user->cycles()->create(['begins_on' => $first->asString(), 'weeks' => $cycle->weeks, 'vision' => $cycle->vision]);
            foreach ($cycle->goals()->whereKey($carry)->get() as $goal) {
                self::carry($user, $goal, $next, $first);
            }
        });
    }

    /** Its date goes with the old cycle; where it stands by hand, its habits, and what of its steps is open, come along. */
    private static function carry(User $user, Goal $goal, Cycle $next, LocalDay $first): void
    {
        $copy = $goal->replicate(['due_on']);
        $copy->cycle_id = $next->id;
        $copy->user_id = $user->id;
        $copy->save();
        $stands = $goal->moved_by === MovedBy::Hand && ! $goal->weekly ? $goal->marks()->orderByDesc('date')->value('value') : null;
        $stands === null || $copy->marks()->create(['user_id' => $user->id, 'date' => $first->asString(), 'value' => $stands]);
        $user->habits()->where('goal_id', $goal->id)->update(['goal_id' => $copy->id]);
        foreach (array_column(GoalSteps::undecided([$goal->id]), 'task_id', 'id') as $step => $task) {
            $goal->steps()->findOrFail($step)->update(['fate' => GoalStep::OVER]);
            $copy->steps()->firstOrCreate(['user_id' => $user->id, 'task_id' => $task, 'week_on' => $first->asString()]);
        }
    }
}
