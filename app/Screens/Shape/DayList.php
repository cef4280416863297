<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Task;
use App\Models\User;
use App\Rows\Blocks;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** A day without times: what is picked or laid out for it, by part of the day. */
final readonly class DayList
{
    /**
     * @param  array<string, list<array{task: Task, minutes: int, from: int|null, done: bool, key: bool}>>  $parts  by part of the day
     */
    private function __construct(public array $parts, public int $minutes, public int $done) {}

    public static function of(User $user, LocalDay $day, Picks $picks, CarbonImmutable $now): self
    {
        $zone = Zones::named($user->zone);
        $span = $zone->day($day);
        $blocks = Blocks::during($user, $span)->with(['task.area', 'task.project'])->where('state', '!=', BlockState::Passed)->get();
        $parts = ['morning' => [], 'afternoon' => [], 'evening' => [], 'any time' => []];
        $minutes = $done = 0;
        $waiting = $picks->of($user->tasks()->counted($now)->with(['area', 'project'])->getQuery(), $day)->whereNotIn('id', $blocks->pluck('task_id'))->orderBy('id')->get();
        $keys = $picks->keys($waiting->toBase()->concat($blocks->map(static fn (Block $block): Task => $block->task)), $day);
        foreach ($blocks->groupBy('task_id') as $some) {
            $first = $some->first() ?? throw new \LogicException('A group is not empty.');
            $length = (int) $some->sum(static fn (Block $block): int => RowMapper::time($block)->length());
            $start = $zone->minuteOfDay(RowMapper::start($first));
            $parts[$start < $user->morning_until ? 'morning' : ($start < $user->afternoon_until ? 'afternoon' : 'evening')][] = ['task' => $first->task, 'minutes' => $length, 'from' => RowMapper::start($first), 'done' => $first->task->done_at !== null, 'key' => isset($keys[$first->task_id])];
            $minutes += $length;
            $done += $first->task->done_at === null ? 0 : $length;
        }
        foreach ($waiting as $task) {
            $parts[$task->part ?? 'any time'][] = ['task' => $task, 'minutes' => $task->minutesToPlan($now), 'from' => null, 'done' => $task->done_at !== null, 'key' => isset($keys[$task->id])];
            $minutes += $task->minutesToPlan($now);
        }

        return new self(array_filter($parts), $minutes, $done);
    }
}
