<?php

declare(strict_types=1);

namespace App\Goals;

use App\Models\Goal;
use App\Models\MovedBy;
use App\Models\User;
use App\Models\Worked;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Goals\Measure;
use Nekto\Core\Time\LocalDay;

/** What moved the measures of goals, and when. */
final readonly class Measures
{
    /**
     * @param  Collection<int, Goal>  $goals  of one person
     * @return array<int, Measure> by goal
     */
    public static function of(User $user, Collection $goals, CarbonImmutable $now): array
    {
        $said = [];
        $by = $goals->groupBy(static fn (Goal $goal): string => $goal->moved_by->value);
        foreach (self::marks($user, $by[MovedBy::Hand->value] ?? new Collection) as [$goal, $at, $amount]) {
            $said[$goal][] = [$at, $amount];
        }
        foreach ([...self::done($by[MovedBy::Tasks->value] ?? new Collection), ...self::subtasks($by[MovedBy::Subtasks->value] ?? new Collection), ...self::hours($by[MovedBy::Hours->value] ?? new Collection, $now)] as [$goal, $at, $amount]) {
            $said[$goal][] = [$at, $amount];
        }
        $measures = [];
        foreach ($goals as $goal) {
            $measures[$goal->id] = new Measure($said[$goal->id] ?? [], $goal->weekly || $goal->moved_by !== MovedBy::Hand);
        }

        return $measures;
    }

    /**
     * @param  Collection<int, Goal>  $goals
     * @return list<array{int, int, float}> goal, moment, how much
     */
    private static function marks(User $user, Collection $goals): array
    {
        if ($goals->isEmpty()) {
            return [];
        }
        $zone = Zones::named($user->zone);

        return array_values(DB::table('goal_marks')->whereIn('goal_id', $goals->pluck('id')->all())->orderBy('date')->get(['goal_id', 'date', 'value'])
            ->map(static fn (\stdClass $row): array => [(int) $row->goal_id, $zone->at(LocalDay::fromString($row->date), 0), (float) $row->value])->all());
    }

    /**
     * @param  Collection<int, Goal>  $goals
     * @return list<array{int, int, float}>
     */
    private static function done(Collection $goals): array
    {
        return $goals->isEmpty() ? [] : array_values(DB::query()->fromSub(GoalTasks::of($goals->pluck('id')->all()), 'own')->join('tasks', 'tasks.id', 'own.task_id')->whereNull('tasks.deleted_at')->whereNotNull('tasks.done_at')
            ->get(['goal_id', 'done_at'])->map(static fn (\stdClass $row): array => [(int) $row->goal_id, Moments::stored($row->done_at), 1.0])->all());
    }

    /**
     * @param  Collection<int, Goal>  $goals
     * @return list<array{int, int, float}>
     */
    private static function subtasks(Collection $goals): array
    {
        return $goals->isEmpty() ? [] : array_values(DB::table('goals')->join('subtasks', 'subtasks.task_id', 'goals.task_id')->whereIn('goals.id', $goals->pluck('id')->all())->whereNotNull('subtasks.done_at')
            ->get(['goals.id', 'subtasks.done_at'])->map(static fn (\stdClass $row): array => [(int) $row->id, Moments::stored($row->done_at), 1.0])->all());
    }

    /**
     * @param  Collection<int, Goal>  $goals
     * @return list<array{int, int, float}> hours, when they were worked
     */
    private static function hours(Collection $goals, CarbonImmutable $now): array
    {
        return $goals->isEmpty() ? [] : array_values(DB::query()->fromSub(GoalTasks::of($goals->pluck('id')->all()), 'own')->join('entries', 'entries.task_id', 'own.task_id')->where('entries.break', false)
            ->groupBy('entries.id', 'goal_id', 'entries.starts_at')->get(['goal_id', 'entries.starts_at', DB::raw(Worked::sum($now).' as minutes')])
            ->map(static fn (\stdClass $row): array => [(int) $row->goal_id, Moments::stored($row->starts_at), (int) $row->minutes / 60])->all());
    }
}
