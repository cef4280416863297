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
use Nekto\Core\Pressure\Push;
use Nekto\Core\Task\Importance;
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
        foreach ($tasks as $id => $task) {
            $set = $task->area->hours_set_id;
            $stored = $task->getAttributes();
            $due[$id] = $time->due($task, $set);
            if ($due[$id] !== null && $stored['importance'] !== null) {
                $work[$set][] = [$due[$id], max(0, (int) $stored['minutes_left'] - ($fixed[$stored['id']] ?? 0))];
            }
        }
        $curves = [];
        foreach (array_keys($time->hours) as $set) {
            $curves[$set] = new DemandCurve($work[$set] ?? [], new Timeline($time->open($set)->without($taken)), $minute);
        }

        return $tasks->mapWithKeys(static function (Task $task, int $id) use ($due, $curves, $minute): array {
            $stored = $task->getAttributes(); // casts would cost more than all the rest
            $demand = $due[$id] === null ? null : $curves[$task->area->hours_set_id]->at($due[$id]);
            $pull = Pull::of(
                Importance::tryFrom((int) $stored['importance']),
                $demand?->pressure(),
                Push::from((int) $stored['push']),
                intdiv($minute - RowMapper::caught($task), 1440),
            );
            $left = $stored['minutes_left'] === null ? null : (int) $stored['minutes_left'];

            return [$stored['id'] => new Candidate($task, (int) $stored['id'], $left, (int) $stored['carried'], $due[$id], $demand, $pull)];
        });
    }
}
