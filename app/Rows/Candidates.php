<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\BlockState;
use App\Models\TaskStage;
use App\Models\User;
use App\Models\Worked;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Pressure\DemandCurve;
use Nekto\Core\Pressure\DueWork;
use Nekto\Core\Pressure\JointSupply;
use Nekto\Core\Pressure\Pull;
use Nekto\Core\Pressure\Push;
use Nekto\Core\Pressure\Supply;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Left;
use Nekto\Core\Time\IntervalSet;

/** Pressure, room and pull of a person's open tasks, in one query. Rows are read bare: of hundreds only a few are shown. */
final class Candidates
{
    /** Of a habit's times the first that its week allows is a candidate, and the others behind it; any other task. */
    private const NEXT_TIME = '(tasks.habit_id is null or not exists (select 1 from tasks as earlier_time where earlier_time.habit_id = tasks.habit_id and earlier_time.done_at is null and earlier_time.deleted_at is null and earlier_time.id < tasks.id))';

    /**
     * Due dates beyond what the desk has read are measured against the time it has.
     *
     * @param  WhatIf|null  $if  a task that is taken to be otherwise than it is
     */
    public static function of(Desk $desk, ?WhatIf $if = null): OpenTasks
    {
        $time = $desk->time();
        $minute = Moments::minute($desk->now);
        [$rows, $steps] = self::rows($desk->user(), $desk->now, $if);
        foreach ($rows as $row) {
            $row->due = Milestones::earliest($time, $row->due_on, $row->due_at, (int) $row->hours_set_id, $row->project_by, $row->section_by);
        }
        [$curves, $limits, $anchored] = self::curves($desk, $rows, $steps, $minute);

        return new OpenTasks($rows, $curves, static function (\stdClass $row) use ($curves, $steps, $minute): Candidate {
            $demand = $row->due === null ? null : $curves[$row->hours_set_id]->at($row->due, $row->demand === Demand::Deep->value, self::from($row));
            $importance = Importance::tryFrom((int) $row->importance);

            return new Candidate(
                (int) $row->id,
                $importance,
                self::left($row)?->minutes(),
                self::left($row)?->toPlan() ?? 0,
                (int) $row->carried,
                $row->due,
                $demand,
                Pull::of($importance, $demand?->pressure(), Push::from((int) $row->push), intdiv($minute - Moments::stored($row->created_at), 1440), (bool) $row->step),
                ! isset($steps->before[$row->id]) && (bool) $row->next_time,
                (int) $row->hours_set_id,
                (int) $row->area_id,
            );
        }, static fn (array $sets): JointSupply => new JointSupply(array_map(static fn (int $set): array => [$time->open($set)->without($anchored), $limits->lines[$set]], $sets), $minute, $time->zone), static fn (int $set): DemandCurve => self::curves($desk, [], $steps, $minute, [$set])[0][$set]);
    }

    /**
     * The due work of each set of hours against what planning may lay until then: under the load line and the deep limit
     * of each day, less what is taken. A step in line is due when the one behind it is.
     *
     * @param  array<int, \stdClass>  $rows
     * @param  list<int>  $also  sets of hours that are asked about in any case
     * @return array{array<int, DemandCurve>, DayLimits, IntervalSet} by set of hours; what limits them, and the time that is anchored
     */
    private static function curves(Desk $desk, array $rows, Steps $steps, int $minute, array $also = []): array
    {
        [$time, $planned] = [$desk->time(), $desk->planned()];
        $due = array_map(static fn (\stdClass $row): ?int => $row->due, $rows);
        foreach (array_reverse($steps->after, true) as $task => $earlier) { // the last of a line first
            foreach ($earlier as $before) {
                isset($due[$task], $rows[$before]) && $due[$before] = min($due[$before] ?? PHP_INT_MAX, $due[$task]);
            }
        }
        $work = [];
        foreach ($rows as $id => $row) {
            if ($due[$id] !== null && $row->importance !== null) {
                $work[(int) $row->hours_set_id][] = new DueWork($due[$id], max(0, (self::left($row)?->toPlan() ?? 0) - $planned->anchoredMinutes($id, $minute)), $row->demand === Demand::Deep->value, self::from($row));
            }
        }
        $anchored = $planned->anchored($minute);
        $sets = array_values(array_unique([...$also, ...$time->sets->take(1)->pluck('id')->all(), ...array_map(static fn (\stdClass $row): int => (int) $row->hours_set_id, array_filter($rows, static fn (\stdClass $row): bool => $row->due !== null))])); // those that anybody asks about
        $limits = DayLimits::of($time, $anchored, [...self::worked($desk), ...$planned->taken($rows, $minute)], $sets);
        $curves = [];
        foreach ($sets as $set) {
            $supply = new Supply($time->open($set)->without($anchored), $minute, $time->zone, $limits->lines[$set]);
            $curves[$set] = new DemandCurve($work[$set] ?? [], $supply, $supply->under($limits->deep));
        }

        return [$curves, $limits, $anchored];
    }

    /** @return list<Taken> what was worked today, block by block */
    private static function worked(Desk $desk): array
    {
        $taken = [];
        foreach ($desk->blocksOn($desk->today()) as $block) {
            if ($block->state === BlockState::Done || $block->state === BlockState::Part) {
                $taken[] = new Taken($block->task->hoursSet(), $block->task->demand === Demand::Deep, RowMapper::start($block), RowMapper::time($block)->length(), ! $block->anchored);
            }
        }

        return $taken;
    }

    private static function from(\stdClass $row): ?int
    {
        return $row->not_before === null ? null : Moments::stored($row->not_before);
    }

    private static function left(\stdClass $row): ?Left
    {
        return $row->said === null ? null : new Left((int) $row->said, (int) $row->worked, $row->said_at === null && $row->expected !== null ? (int) $row->expected : null);
    }

    /** @return array{array<int, \stdClass>, Steps} open tasks by id, the oldest first, and the order of sequential steps */
    private static function rows(User $user, CarbonImmutable $now, ?WhatIf $if): array
    {
        $all = DB::table('tasks')->join('areas', 'areas.id', 'tasks.area_id')->leftJoin('projects', 'projects.id', 'tasks.project_id')->leftJoin('sections', 'sections.id', 'tasks.section_id')->leftJoin('projects as earlier', 'earlier.id', 'projects.after_id')
            ->where('tasks.user_id', $user->id)->whereIn('stage', [TaskStage::Inbox->value, TaskStage::Open->value, TaskStage::Waiting->value])->whereNull('tasks.done_at')->whereNull('tasks.deleted_at')
            ->orderBy('tasks.created_at')->orderBy('tasks.id')
            ->get(['tasks.id', 'tasks.area_id', 'stage', DB::raw('coalesce(tasks.hours_set_id, areas.hours_set_id) as hours_set_id'), 'importance', 'push', 'tasks.due_on', 'due_at', 'said', 'said_at', 'expected', DB::raw(Worked::sinceSaid($now).' as worked'), 'demand', 'not_before', 'carried', 'tasks.created_at',
                'tasks.project_id', 'tasks.section_id', 'tasks.position', DB::raw('coalesce(sections.sequential, projects.sequential, 0) as sequential'), DB::raw(Steps::FOLLOWS), DB::raw(Milestones::BY), DB::raw(GoalSteps::isStep(Moments::today($user, $now)).' as step'), DB::raw(self::NEXT_TIME.' as next_time')]);
        $rows = [];
        foreach ($all as $row) {
            if ($if !== null && (int) $row->id === $if->task) {
                [$row->stage, $row->importance, $row->due_on, $row->due_at, $row->said, $row->worked, $row->said_at, $row->expected] = [TaskStage::Open->value, $if->importance?->value, $if->dueOn, $if->dueAt, $if->minutes, 0, null, null];
            }
            $row->stage === TaskStage::Open->value && $rows[(int) $row->id] = $row;
        }

        return [$rows, Steps::among($all->all())];
    }
}
