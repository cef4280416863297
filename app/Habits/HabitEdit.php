<?php

declare(strict_types=1);

namespace App\Habits;

use App\Edits\TaskDoor;
use App\Models\Habit;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\User;
use App\Planning\Replan;
use App\Time\Moments;
use App\Time\Weeks;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nekto\Core\Time\LocalDay;

/** Habits made, changed and ended by hand, and one time of one done. */
final readonly class HabitEdit
{
    /** Of one account at a time. */
    public const MOST = 20;

    public function __construct(private Replan $replan, private HabitWeeks $weeks, private TaskDoor $door) {}

    /** @param  array<string, mixed>  $columns */
    public function make(User $user, array $columns, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($user, $now, function () use ($user, $columns, $now): void {
            $this->refill($user, $user->habits()->create($columns + ['position' => (int) $user->habits()->max('position') + 1]), $now);
        });
    }

    /** @param  array<string, mixed>  $columns */
    public function change(Habit $habit, array $columns, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($habit->user, $now, function () use ($habit, $columns, $now): void {
            $habit->update($columns);
            $this->refill($habit->user, $habit, $now);
        });
    }

    /** It ends with yesterday: what was done of it stays counted. */
    public function end(Habit $habit, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($habit->user, $now, static function () use ($habit, $now): void {
            $habit->update(['until' => Moments::today($habit->user, $now)->plusDays(-1)->asString()]);
            self::untouched($habit)->get()->each(static fn (Task $task) => $task->forceDelete());
        });
    }

    /**
     * The next of its times this week is done now, also one that has no block. Where no clock ran for it, its minutes are
     * written down as the last that are free of other work.
     *
     * @param  CarbonImmutable|null  $said  when it was pressed, where it had to wait before it came
     * @return array{PlanRevision|null, bool} false: all of the week's are done already
     */
    public function done(Habit $habit, ?CarbonImmutable $said, CarbonImmutable $now): array
    {
        $user = $habit->user;
        $at = $said === null || $said > $now ? $now : $said;
        $task = $this->next($habit, Moments::today($user, $at));
        if ($task === null) {
            return [null, false];
        }

        return [$this->replan->after($user, $now, function () use ($user, $habit, $task, $at, $now): void {
            $this->door->change($task->setRelation('user', $user), ['done_at' => $at], $now);
            $user->entries()->where('task_id', $task->id)->exists() || self::writeDown($user, $task, $habit->minutes, $at);
        }, RevisionCause::Done), true];
    }

    /** Of what is open this week the one that lies earliest, or else the oldest. */
    private function next(Habit $habit, LocalDay $today): ?Task
    {
        return $habit->timesAround($today)->whereNull('done_at')
            ->reorder()->orderByRaw('(select min(starts_at) from blocks where blocks.task_id = tasks.id and state = ?) is null, (select min(starts_at) from blocks where blocks.task_id = tasks.id and state = ?), id', ['planned', 'planned'])->first();
    }

    private static function writeDown(User $user, Task $task, int $minutes, CarbonImmutable $at): void
    {
        $day = Moments::moment(Zones::named($user->zone)->day(Moments::today($user, $at))->start);
        $end = $at;
        foreach ($user->entries()->where('starts_at', '<', $at)->where(static fn (Builder $one): Builder => $one->whereNull('ends_at')->orWhere('ends_at', '>', $day))->orderByDesc('starts_at')->get() as $entry) {
            if ($entry->ends_at !== null && $entry->ends_at <= $end->subMinutes($minutes)) {
                break;
            }
            $end = min($end, $entry->starts_at);
        }
        $start = $end->subMinutes($minutes);
        $start >= $day && $user->entries()->create(['task_id' => $task->id, 'starts_at' => $start, 'ends_at' => $end]);
    }

    /** Times of this week and the next that nobody has touched come anew, as the habit now is. Goes within a transaction. */
    private function refill(User $user, Habit $habit, CarbonImmutable $now): void
    {
        foreach (HabitWeeks::weeks(Weeks::first($user, Moments::today($user, $now))) as $week) {
            $own = $habit->tasks()->whereBetween('occurs_on', [$week->asString(), $week->plusDays(6)->asString()]);
            self::untouched($habit)->whereBetween('occurs_on', [$week->asString(), $week->plusDays(6)->asString()])->get()->each(static fn (Task $task) => $task->forceDelete());
            $this->weeks->fill($user, $habit, $week, max(0, HabitWeeks::times($habit, $week) - (clone $own)->count()), $now);
        }
    }

    /** @return HasMany<Task, Habit> open times on which nobody has worked */
    private static function untouched(Habit $habit): HasMany
    {
        return $habit->tasks()->whereNull('done_at')->whereNotIn('id', $habit->user->entries()->whereNotNull('task_id')->select('task_id'));
    }
}
