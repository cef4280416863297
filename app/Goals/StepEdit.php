<?php

declare(strict_types=1);

namespace App\Goals;

use App\Catch\CaughtLine;
use App\Catch\KeepLines;
use App\Models\Goal;
use App\Models\GoalStep;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Planning\Replan;
use App\Time\Moments;
use App\Time\Weeks;
use Carbon\CarbonImmutable;
use Nekto\Core\Capture\Kind;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\LocalDay;

/** Tasks set to a week of a cycle. */
final readonly class StepEdit
{
    public function __construct(private Replan $replan, private KeepLines $keep) {}

    /**
     * A new task by a line, with goal and week preset.
     *
     * @param  list<string>  $refused  what the person refused to have understood
     * @param  list<string>  $proposed  what was proposed and seen
     * @return array{PlanRevision|null, Task|null}
     */
    public function byLine(User $user, Goal $goal, LocalDay $week, string $text, array $refused, array $proposed, CarbonImmutable $now): array
    {
        $line = (new CaughtLine($user, $now))->propose($text, $refused, $proposed);
        $made = null;
        $revision = $this->replan->after($user, $now, function () use ($user, $goal, $week, $line, $now, &$made): void {
            $made = $this->keep->one($user, $line, $now, ['stage' => TaskStage::Open->value, 'importance' => $line->importance() ?? Importance::Medium, 'area_id' => $goal->area_id, ...($line->name(Kind::Project) === null && $goal->project_id !== null ? ['project_id' => $goal->project_id] : [])]);
            self::put($user, $goal, $made->id, $week);
        }, RevisionCause::Step);

        return [$revision?->refusing($this->keep->refused()), $made];
    }

    /** A task that is there already becomes a step of that week. */
    public function set(User $user, Goal $goal, Task $task, LocalDay $week, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($user, $now, static fn () => self::put($user, $goal, $task->id, $week), RevisionCause::Step);
    }

    /** An unfinished one goes over to the present week: it stays missed in its own. */
    public function over(User $user, GoalStep $step, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($user, $now, static function () use ($user, $step, $now): void {
            $step->update(['fate' => GoalStep::OVER]);
            $goal = Goal::query()->findOrFail($step->goal_id);
            self::put($user, $goal, $step->task_id, self::later($user, $step, $now));
        }, RevisionCause::Step);
    }

    /** The task stays; it is no step any more. */
    public function letGo(User $user, GoalStep $step, CarbonImmutable $now): ?PlanRevision
    {
        $isOver = LocalDay::fromString($step->week_on)->plusDays(7)->number <= Moments::today($user, $now)->number;

        return $this->replan->after($user, $now, static fn () => $isOver ? $step->update(['fate' => GoalStep::LET_GO]) : $step->delete(), RevisionCause::Step);
    }

    /** The week after its own, or the present one if that is later. */
    public static function later(User $user, GoalStep $step, CarbonImmutable $now): LocalDay
    {
        $next = LocalDay::fromString($step->week_on)->plusDays(7);
        $present = Weeks::first($user, Moments::today($user, $now));

        return $present->number > $next->number ? $present : $next;
    }

    private static function put(User $user, Goal $goal, int $task, LocalDay $week): void
    {
        $goal->steps()->firstOrCreate(['task_id' => $task, 'week_on' => $week->asString()], ['user_id' => $user->id])->update(['fate' => null]);
    }
}
