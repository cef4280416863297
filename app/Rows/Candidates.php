<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\TaskStage;
use App\Models\User;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Pressure\DemandCurve;
use Nekto\Core\Pressure\Pull;
use Nekto\Core\Pressure\Push;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Timeline;

/** Pressure, room and pull of a person's open tasks. Rows are read bare: of hundreds only a few are shown. */
final readonly class Candidates
{
    /** Due dates further ahead than this are measured against the open time of so many days. */
    public const DAYS = 92;

    public function __construct(private WorkTimeLoader $times) {}

    /** Hours and meetings from a day on, far enough ahead for of(). */
    public function time(User $user, LocalDay $from): WorkTime
    {
        return $this->times->load($user, $from, self::DAYS);
    }

    /** @return Collection<int, Candidate> by task id, the oldest first */
    public function of(User $user, PlannedTimes $planned, WorkTime $time, CarbonImmutable $now): Collection
    {
        $minute = Moments::minute($now);
        $rows = $this->rows($user);
        $taken = $planned->anchored($minute);
        $due = $work = [];
        foreach ($rows as $row) {
            $set = (int) $row->hours_set_id;
            $due[$row->id] = $time->due($row->due_on, $row->due_at, $set);
            if ($due[$row->id] !== null && $row->importance !== null) {
                $work[$set][] = [$due[$row->id], max(0, (int) $row->minutes_left - $planned->anchoredMinutes((int) $row->id, $minute))];
            }
        }
        $steps = Steps::of($user);
        $curves = [];
        foreach (array_keys($time->hours) as $set) {
            $curves[$set] = new DemandCurve($work[$set] ?? [], new Timeline($time->open($set)->without($taken)), $minute);
        }

        return $rows->mapWithKeys(static function (object $row) use ($due, $curves, $minute, $steps): array {
            $demand = $due[$row->id] === null ? null : $curves[$row->hours_set_id]->at($due[$row->id]);
            $importance = Importance::tryFrom((int) $row->importance);
            $days = intdiv($minute - Moments::stored($row->created_at), 1440);

            return [(int) $row->id => new Candidate(
                (int) $row->id,
                $importance,
                $row->minutes_left === null ? null : (int) $row->minutes_left,
                (int) $row->carried,
                $due[$row->id],
                $demand,
                Pull::of($importance, $demand?->pressure(), Push::from((int) $row->push), $days),
                ! isset($steps->before[$row->id]),
                (int) $row->hours_set_id,
            )];
        });
    }

    /** @return Collection<int, \stdClass> */
    private function rows(User $user): Collection
    {
        return DB::table('tasks')->join('areas', 'areas.id', 'tasks.area_id')
            ->where('tasks.user_id', $user->id)->where('stage', TaskStage::Open->value)->whereNull('done_at')->whereNull('deleted_at')
            ->orderBy('tasks.created_at')->orderBy('tasks.id')
            ->get(['tasks.id', DB::raw('coalesce(tasks.hours_set_id, areas.hours_set_id) as hours_set_id'), 'importance', 'push', 'due_on', 'due_at', 'minutes_left', 'carried', 'tasks.created_at']);
    }
}
