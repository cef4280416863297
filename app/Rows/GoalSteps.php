<?php

declare(strict_types=1);

namespace App\Rows;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Time\LocalDay;

/** Which tasks are steps of a goal, and which steps are open: the rules, as the database is asked. */
final class GoalSteps
{
    /** True of each row of `tasks` that moves a goal of an open cycle and whose week has come, as an expression. */
    public static function isStep(LocalDay $today): string
    {
        return "exists (select 1 from goal_steps join goals on goals.id = goal_steps.goal_id join cycles on cycles.id = goals.cycle_id
            where goal_steps.task_id = tasks.id and goal_steps.fate is null and cycles.closed_at is null and goal_steps.week_on <= '{$today->asString()}')";
    }

    /** Steps that a week is judged by, of rows of `goal_steps` joined with `tasks`: one whose task was let go in its week is none. */
    public static function judged(Builder $query): Builder
    {
        return $query->where(static fn (Builder $one): Builder => $one->whereNull('tasks.deleted_at')->orWhereNotNull('tasks.done_at')->orWhereNotNull('goal_steps.fate'));
    }

    /**
     * Unfinished steps about which nobody has decided.
     *
     * @param  list<int>  $goals
     * @param  LocalDay|null  $before  of weeks that begin before it
     * @return list<\stdClass> id, goal_id, task_id, week_on; title of the task, name of the goal
     */
    public static function undecided(array $goals, ?LocalDay $before = null): array
    {
        return $goals === [] ? [] : DB::table('goal_steps')->join('tasks', 'tasks.id', 'goal_steps.task_id')->join('goals', 'goals.id', 'goal_steps.goal_id')->whereIn('goal_steps.goal_id', $goals)
            ->whereNull('goal_steps.fate')->where('goal_steps.week_on', '<', $before?->asString() ?? '9999')->whereNull('tasks.done_at')->whereNull('tasks.deleted_at')
            ->orderBy('goal_steps.week_on')->orderBy('goal_steps.id')->get(['goal_steps.id', 'goal_steps.goal_id', 'goal_steps.task_id', 'goal_steps.week_on', 'tasks.title', 'goals.name'])->all();
    }
}
