<?php

declare(strict_types=1);

namespace App\Goals;

use App\Models\GoalStep;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Which tasks are the work of a goal: its steps, those of its project, and the times of its habits. The one rule. */
final class GoalTasks
{
    /**
     * @param  list<int>  $goals
     * @return Builder rows of goal_id and task_id, each pair once; let go tasks among them
     */
    public static function of(array $goals): Builder
    {
        return DB::table('goal_steps')->whereIn('goal_id', $goals)->where(static fn (Builder $one): Builder => $one->whereNull('fate')->orWhere('fate', '!=', GoalStep::LET_GO))->select(['goal_id', 'task_id'])
            ->union(DB::table('goals')->join('tasks', 'tasks.project_id', 'goals.project_id')->whereIn('goals.id', $goals)->select(['goals.id', 'tasks.id']))
            ->union(DB::table('habits')->join('tasks', 'tasks.habit_id', 'habits.id')->whereIn('habits.goal_id', $goals)->select(['habits.goal_id', 'tasks.id']));
    }
}
