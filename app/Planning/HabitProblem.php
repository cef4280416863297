<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Block;
use App\Models\Habit;
use App\Models\Task;
use App\Models\User;
use App\Rows\RowMapper;
use App\Time\Moments;
use App\Time\Zones;
use Illuminate\Support\Collection;
use Nekto\Core\Plan\Habit as CoreHabit;
use Nekto\Core\Time\Grid;
use Nekto\Core\Time\LocalDay;

/**
 * Habits of a planning problem. A time that the person has touched – picked, anchored, begun, held – is a task like any
 * other, and its day is taken; the others go wherever their week has room, each on a day of its own.
 */
final readonly class HabitProblem
{
    /** Minutes before and after its best time within which a habit lies. */
    private const ABOUT = 60;

    /**
     * @param  list<CoreHabit>  $habits
     * @param  array<int, true>  $free  tasks that stand for their times
     * @param  array<string, array{int, int}>  $parts  of the day that only they have, by name
     */
    private function __construct(public array $habits, public array $free, public array $parts) {}

    /**
     * @param  array<int, int>  $left  minutes to be placed by task
     * @param  Collection<int, Block>  $fixed
     */
    public static function of(PlanRows $rows, array $left, Collection $fixed): self
    {
        if ($rows->habits->isEmpty()) {
            return new self([], [], []);
        }
        $zone = $rows->time->zone;
        $days = $rows->habitDays;
        $held = [];
        foreach ($fixed as $block) {
            $held[$block->task_id] = $zone->dayOf(RowMapper::start($block))->number;
        }
        $free = $named = $parts = $habits = [];
        foreach ($rows->tasks->whereNotNull('habit_id')->sortBy('id') as $task) {
            $habit = $rows->habits[$task->habit_id ?? 0] ?? null;
            if ($habit === null || $left[$task->id] <= 0) {
                continue;
            }
            $day = $held[$task->id] ?? $rows->picks->day($task)?->number;
            if ($day !== null || $task->occurs_on === null || $left[$task->id] !== Grid::up($habit->minutes)) {
                $day === null || $days[$habit->id][] = $day;

                continue;
            }
            $free[$task->id] = true;
            $named[$habit->id][LocalDay::fromString($task->occurs_on)->number][] = (string) $task->id;
        }
        foreach ($named as $id => $weeks) {
            $habit = $rows->habits[$id] ?? throw new \LogicException('Read together.');
            $part = self::part($habit);
            if ($habit->best_at !== null && $part !== null) {
                $parts[$part] = [max(0, $habit->best_at - self::ABOUT), min(1440, $habit->best_at + $habit->minutes + self::ABOUT)];
            }
            $habits[] = new CoreHabit(
                "habit {$id}", Grid::up($habit->minutes), max(1, min(7, $habit->times)), (string) $habit->hoursSet(), $part, $days[$id] ?? [], $weeks,
                LocalDay::fromString($habit->from)->number, $habit->until === null ? null : LocalDay::fromString($habit->until)->number, (new LocalDay(array_key_first($weeks)))->weekday(),
            );
        }

        return new self($habits, $free, $parts);
    }

    /**
     * @param  Collection<int, Task>  $tasks
     * @return Collection<int, Habit> theirs, by id
     */
    public static function rows(User $user, Collection $tasks): Collection
    {
        $ids = $tasks->pluck('habit_id')->filter()->unique()->values()->all();

        return $ids === [] ? new Collection : $user->habits()->whereKey($ids)->with('area')->get()->keyBy('id')->toBase();
    }

    /**
     * @param  Collection<int, Habit>  $habits
     * @return array<int, list<int>> numbers of the days of the last week and since on which each was done
     */
    public static function doneDays(User $user, Collection $habits, LocalDay $today): array
    {
        if ($habits->isEmpty()) {
            return [];
        }
        $zone = Zones::named($user->zone);
        $days = [];
        foreach ($user->tasks()->whereIn('habit_id', $habits->keys()->all())->where('done_at', '>=', Moments::moment($zone->at($today->plusDays(-7), 0)))->toBase()->get(['habit_id', 'done_at']) as $row) {
            $days[(int) $row->habit_id][] = $zone->dayOf(Moments::stored($row->done_at))->number;
        }

        return $days;
    }

    private static function part(Habit $habit): ?string
    {
        return $habit->best_at === null ? $habit->part : "about {$habit->id}";
    }
}
