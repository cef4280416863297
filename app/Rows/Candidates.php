<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\TaskStage;
use App\Models\User;
use App\Models\Worked;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Pressure\DemandCurve;
use Nekto\Core\Pressure\Pull;
use Nekto\Core\Pressure\Push;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Left;
use Nekto\Core\Time\Timeline;

/** Pressure, room and pull of a person's open tasks, in one query. Rows are read bare: of hundreds only a few are shown. */
final class Candidates
{
    /**
     * @param  WorkTime  $time  from today on; due dates beyond it are measured against the open time it has
     * @param  WhatIf|null  $if  a task that is taken to be otherwise than it is
     */
    public static function of(User $user, PlannedTimes $planned, WorkTime $time, CarbonImmutable $now, ?WhatIf $if = null): OpenTasks
    {
        $minute = Moments::minute($now);
        [$rows, $steps] = self::rows($user, $now, $if);
        $work = [];
        foreach ($rows as $row) {
            $row->due = $time->due($row->due_on, $row->due_at, (int) $row->hours_set_id);
            if ($row->due !== null && $row->importance !== null) {
                $work[(int) $row->hours_set_id][] = [$row->due, max(0, (self::left($row)?->toPlan() ?? 0) - $planned->anchoredMinutes((int) $row->id, $minute))];
            }
        }
        $taken = $planned->anchored($minute);
        $curves = [];
        foreach ($time->sets as $set) {
            $curves[$set->id] = new DemandCurve($work[$set->id] ?? [], new Timeline($time->open($set->id)->without($taken)), $minute);
        }

        return new OpenTasks($rows, $curves, static function (\stdClass $row) use ($curves, $steps, $minute): Candidate {
            $demand = $row->due === null ? null : $curves[$row->hours_set_id]->at($row->due);
            $importance = Importance::tryFrom((int) $row->importance);

            return new Candidate(
                (int) $row->id,
                $importance,
                self::left($row)?->minutes(),
                (int) $row->carried,
                $row->due,
                $demand,
                Pull::of($importance, $demand?->pressure(), Push::from((int) $row->push), intdiv($minute - Moments::stored($row->created_at), 1440)),
                ! isset($steps->before[$row->id]),
                (int) $row->hours_set_id,
            );
        });
    }

    private static function left(\stdClass $row): ?Left
    {
        return $row->said === null ? null : new Left((int) $row->said, (int) $row->worked);
    }

    /** @return array{array<int, \stdClass>, Steps} open tasks by id, the oldest first, and the order of sequential steps */
    private static function rows(User $user, CarbonImmutable $now, ?WhatIf $if): array
    {
        $all = DB::table('tasks')->join('areas', 'areas.id', 'tasks.area_id')->leftJoin('projects', 'projects.id', 'tasks.project_id')->leftJoin('sections', 'sections.id', 'tasks.section_id')
            ->where('tasks.user_id', $user->id)->whereIn('stage', [TaskStage::Inbox->value, TaskStage::Open->value, TaskStage::Waiting->value])->whereNull('tasks.done_at')->whereNull('tasks.deleted_at')
            ->orderBy('tasks.created_at')->orderBy('tasks.id')
            ->get(['tasks.id', 'stage', DB::raw('coalesce(tasks.hours_set_id, areas.hours_set_id) as hours_set_id'), 'importance', 'push', 'due_on', 'due_at', 'said', DB::raw(Worked::sinceSaid($now).' as worked'), 'carried', 'tasks.created_at',
                'tasks.project_id', 'tasks.section_id', 'tasks.position', DB::raw('coalesce(sections.sequential, projects.sequential, 0) as sequential')]);
        $rows = [];
        foreach ($all as $row) {
            if ($if !== null && (int) $row->id === $if->task) {
                [$row->stage, $row->importance, $row->due_on, $row->due_at, $row->said, $row->worked] = [TaskStage::Open->value, $if->importance?->value, $if->dueOn, null, $if->minutes, 0];
            }
            $row->stage === TaskStage::Open->value && $rows[(int) $row->id] = $row;
        }

        return [$rows, Steps::among($all->filter(static fn (\stdClass $row): bool => (bool) $row->sequential && $row->project_id !== null)->sortBy([['position', 'asc'], ['id', 'asc']])->all())];
    }
}
