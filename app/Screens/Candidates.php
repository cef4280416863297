<?php

declare(strict_types=1);

namespace App\Screens;

use App\Models\Block;
use App\Models\Task;
use App\Models\User;
use App\Planning\RowMapper;
use App\Planning\WorkTime;
use App\Planning\WorkTimeLoader;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Pressure\DemandCurve;
use Nekto\Core\Pressure\Pull;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Timeline;

/** Pressure, room and pull of a person's open tasks. */
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

    /**
     * @param  Collection<int, Task>  $tasks  open ones with their areas
     * @param  Collection<int, Block>  $planned  all planned blocks
     * @return Collection<int, Candidate> by task id
     */
    public function of(Collection $tasks, Collection $planned, WorkTime $time, CarbonImmutable $now): Collection
    {
        $minute = RowMapper::minute($now);
        $anchored = $planned->filter(static fn (Block $block): bool => $block->anchored && RowMapper::end($block) > $minute);
        $fixed = $anchored->groupBy('task_id')->map(static fn (Collection $blocks): int => $blocks->sum(
            static fn (Block $block): int => RowMapper::time($block)->length(),
        ));
        $taken = IntervalSet::covering(...$anchored->map(static fn (Block $block): Interval => RowMapper::time($block))->values()->all());
        $due = $work = [];
        foreach ($tasks as $task) {
            $due[$task->id] = $time->due($task, $task->area);
            if ($due[$task->id] !== null && $task->importance !== null) {
                $work[$task->area->hours_set_id][] = [$due[$task->id], max(0, (int) $task->minutes_left - ($fixed[$task->id] ?? 0))];
            }
        }
        $curves = [];
        foreach (array_keys($time->hours) as $set) {
            $curves[$set] = new DemandCurve($work[$set] ?? [], new Timeline($time->open($set)->without($taken)), $minute);
        }

        return $tasks->mapWithKeys(static function (Task $task) use ($due, $curves, $minute): array {
            $at = $due[$task->id];
            $demand = $at === null ? null : $curves[$task->area->hours_set_id]->at($at);
            $days = intdiv($minute - RowMapper::caught($task), 1440);

            return [$task->id => new Candidate($task, $at, $demand, Pull::of($task->importance, $demand?->pressure(), $task->push, $days))];
        });
    }
}
