<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Task;
use App\Models\User;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Nekto\Core\Time\LocalDay;

/**
 * Which day a pick stands for. One that was not done on its day stands for today, or is offered again if the person
 * wants that. Nothing is stored for it: undo and the past day's account keep the day that was picked.
 */
final readonly class Picks
{
    /** Of a long task so many minutes are thought of for one day. */
    private const MOST_A_DAY = 120;

    public function __construct(private User $user, private LocalDay $today) {}

    /** Null: not picked, or picked for a day that went by. */
    public function day(Task $task): ?LocalDay
    {
        return match (true) {
            $task->picked_on === null => null,
            ! $this->isLeftOver($task) => LocalDay::fromString($task->picked_on),
            $this->user->carry_picks => $this->today,
            default => null,
        };
    }

    /**
     * What picking a task for a day stores. One that had been put off beyond it is wanted after all.
     *
     * @return array{picked_on: string, not_before?: null}
     */
    public static function columns(Task $task, LocalDay $day): array
    {
        $end = Moments::moment(Zones::named($task->user->zone)->day($day)->end);

        return ['picked_on' => $day->asString(), ...($task->not_before !== null && $task->not_before >= $end ? ['not_before' => null] : [])];
    }

    /** Of such a share, what would do on a day on which not all picks fit: half of it, if the task goes on elsewhere. */
    public static function least(int $left): int
    {
        return $left > self::MOST_A_DAY ? intdiv(self::MOST_A_DAY, 2) : $left;
    }

    /** Of so many minutes left, those that a pick stands for on its day, on which so many were worked already. */
    public static function share(int $left, int $worked = 0): int
    {
        return min($left, max(0, self::MOST_A_DAY - $worked));
    }

    /** Minutes that a task picked for a day stands for there: all that is left, if it is due by then. */
    public function minutes(Task $task, LocalDay $day, CarbonImmutable $now): int
    {
        return $this->isDueBy($task, $day) ? $task->minutesToPlan($now) : self::share($task->minutesToPlan($now));
    }

    /** Due by the end of a day. */
    public function isDueBy(Task $task, LocalDay $day): bool
    {
        return ($task->due_on !== null && $task->due_on <= $day->asString())
            || ($task->due_at !== null && Moments::minute($task->due_at) <= Zones::named($this->user->zone)->day($day)->end);
    }

    /** Picked for a day before today, and still open. */
    public function isLeftOver(Task $task): bool
    {
        return $task->done_at === null && $task->picked_on !== null && $task->picked_on < $this->today->asString();
    }

    public function isFor(Task $task, LocalDay $day): bool
    {
        return $this->day($task)?->number === $day->number;
    }

    /**
     * The few picks that make that day a success: its own before those left over.
     *
     * @param  Collection<int, Task>  $tasks
     * @return array<int, true> by task id
     */
    public function keys(Collection $tasks, LocalDay $day): array
    {
        $keys = $tasks->filter(fn (Task $task): bool => $task->key && ($task->picked_on === $day->asString() || $this->isFor($task, $day)))->unique('id')
            ->sortBy(static fn (Task $task): array => [$task->picked_on !== $day->asString(), -($task->importance->value ?? 0), $task->id])->take($this->user->keys_most);

        return array_fill_keys($keys->pluck('id')->all(), true);
    }

    /**
     * @param  Builder<Task>  $tasks
     * @return Builder<Task> those whose pick stands for that day
     */
    public function of(Builder $tasks, LocalDay $day): Builder
    {
        return $day->number === $this->today->number && $this->user->carry_picks
            ? $this->withLeftOvers($tasks)
            : $tasks->where('tasks.picked_on', $day->asString());
    }

    /**
     * @param  Collection<int, Block>  $blocks  of that day
     * @return Collection<int, Task> those whose pick stands for the day and that have no time on it, most important first
     */
    public function withoutTime(LocalDay $day, Collection $blocks, CarbonImmutable $now): Collection
    {
        return $this->withoutTimes([$day], static fn (): Collection => $blocks, $now)[$day->number] ?? new Collection;
    }

    /**
     * The same of several days.
     *
     * @param  non-empty-list<LocalDay>  $days  one after another
     * @param  \Closure(LocalDay): Collection<int, Block>  $blocksOn
     * @return array<int, Collection<int, Task>> by the day's number
     */
    public function withoutTimes(array $days, \Closure $blocksOn, CarbonImmutable $now): array
    {
        [$first, $last] = [max($days[0]->number, $this->today->number), $days[count($days) - 1]->number];
        if ($last < $this->today->number) {
            return [];
        }
        $from = $first === $this->today->number && $this->user->carry_picks ? '' : (new LocalDay($first))->asString(); // what is left over stands for today
        $timed = $without = [];
        foreach ($this->user->tasks()->plannable()->where('picked_on', '>=', $from)->where('picked_on', '<=', (new LocalDay($last))->asString())->counted($now)->with('area')->orderByDesc('importance')->orderBy('id')->get() as $task) {
            $day = $this->day($task);
            if ($day === null || $day->number < $first) {
                continue;
            }
            $timed[$day->number] ??= $blocksOn($day)->reject(static fn (Block $block): bool => $block->state === BlockState::Passed)->pluck('task_id')->flip()->all();
            isset($timed[$day->number][$task->id]) || $without[$day->number][] = $task;
        }

        return array_map(static fn (array $some): Collection => new Collection($some), $without);
    }

    /**
     * @param  Builder<Task>  $tasks
     * @return Builder<Task> those picked for today, and those left over from before
     */
    public function withLeftOvers(Builder $tasks): Builder
    {
        $today = $this->today->asString();

        return $tasks->where(static fn (Builder $one): Builder => $one->where('tasks.picked_on', $today)
            ->orWhere(static fn (Builder $left): Builder => $left->where('tasks.picked_on', '<', $today)->whereNull('tasks.done_at')));
    }
}
