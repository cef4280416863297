<?php

declare(strict_types=1);

namespace App\Goals;

use App\Edits\TaskEdit;
use App\Models\Goal;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\TaskStage;
use App\Models\User;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Time\LocalDay;

/** Open work of a goal that has no date, or a later one, is due by the goal's. */
final readonly class DateWork
{
    public function __construct(private TaskEdit $edit) {}

    /** @return array{PlanRevision|null, int} and how many tasks that is */
    public function __invoke(User $user, Goal $goal, CarbonImmutable $now): array
    {
        $date = $goal->due_on ?? $goal->cycle->span()->last()->asString();
        $end = Moments::moment(Zones::named($user->zone)->day(LocalDay::fromString($date))->end);
        $ids = DB::query()->fromSub(GoalTasks::of([$goal->id]), 'own')->pluck('task_id')->all();
        $tasks = $user->tasks()->whereKey($ids)->whereNull('done_at')->where('stage', TaskStage::Open)->whereNull('habit_id')
            ->where(static fn ($one) => $one->where(static fn ($none) => $none->whereNull('due_on')->whereNull('due_at'))->orWhere('due_on', '>', $date)->orWhere('due_at', '>=', $end))->get();

        return $tasks->isEmpty() ? [null, 0] : [$this->edit->changeAll($user, $tasks->toBase(), ['due_on' => $date, 'due_at' => null], $now, RevisionCause::Changed), $tasks->count()];
    }
}
