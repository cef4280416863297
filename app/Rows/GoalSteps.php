<?php

declare(strict_types=1);

namespace App\Rows;

use Nekto\Core\Time\LocalDay;

/** Which tasks are steps of a goal: the one rule, as the database is asked. */
final class GoalSteps
{
    /** True of each row of `tasks` that moves a goal of an open cycle and whose week has come, as an expression. */
    public static function isStep(LocalDay $today): string
    {
        return "exists (select 1 from goal_steps join goals on goals.id = goal_steps.goal_id join cycles on cycles.id = goals.cycle_id
            where goal_steps.task_id = tasks.id and goal_steps.fate is null and cycles.closed_at is null and goal_steps.week_on <= '{$today->asString()}')";
    }
}
