<?php

declare(strict_types=1);

namespace App\Habits;

use App\Edits\NewTasks;
use App\Edits\TaskDraft;
use App\Models\Habit;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Planning\Replan;
use App\Time\Moments;
use App\Time\Weeks;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\LocalDay;

/**
 * The times of habits as tasks, of this week and the next: those of a week come once, and what was not done when it is over
 * is missed. It goes out of sight without a word, and the ledger counts it.
 */
final readonly class HabitWeeks
{
    /** Weeks whose times are there: this one and the next. */
    private const WEEKS = 2;

    public function __construct(private NewTasks $births, private Replan $replan) {}

    /** Null where there was nothing to do. */
    public function __invoke(User $user, CarbonImmutable $now): ?PlanRevision
    {
        $first = Weeks::first($user, Moments::today($user, $now));
        $habits = $user->habits()->where(static fn (Builder $one): Builder => $one->whereNull('until')->orWhere('until', '>=', $first->asString()))->get();
        $over = $user->tasks()->whereNotNull('habit_id')->whereNull('done_at')->where('occurs_on', '<=', $first->plusDays(-7)->asString());
        $missing = [];
        foreach ($habits->isEmpty() ? [] : self::weeks($first) as $week) {
            $there = $user->tasks()->withTrashed()->whereIn('habit_id', $habits->modelKeys())->whereBetween('occurs_on', [$week->plusDays(-6)->asString(), $week->plusDays(6)->asString()])->pluck('occurs_on', 'habit_id');
            foreach ($habits as $habit) {
                ($there[$habit->id] ?? '') >= $week->asString() || self::times($habit, $week) === 0 || $missing[] = [$habit, $week];
            }
        }
        if ($missing === [] && (clone $over)->doesntExist()) {
            return null;
        }

        return $this->replan->after($user, $now, function () use ($missing, $over, $user, $now): void {
            $over->get()->each(static fn (Task $task) => $task->delete());
            foreach ($missing as [$habit, $week]) {
                $this->fill($user, $habit, $week, self::times($habit, $week), $now);
            }
        }, RevisionCause::Habits);
    }

    /** How often it is to be done in a week: less often where it begins or ends within. */
    public static function times(Habit $habit, LocalDay $week): int
    {
        $from = max($week->number, LocalDay::fromString($habit->from)->number);
        $until = min($week->number + 6, $habit->until === null ? PHP_INT_MAX : LocalDay::fromString($habit->until)->number);

        return max(0, min($habit->times, $until - $from + 1));
    }

    /** @return list<LocalDay> first days of the weeks whose times are there */
    public static function weeks(LocalDay $first): array
    {
        return array_map(static fn (int $week): LocalDay => $first->plusDays(7 * $week), range(0, self::WEEKS - 1));
    }

    /** Goes within a transaction. */
    public function fill(User $user, Habit $habit, LocalDay $week, int $times, CarbonImmutable $now): void
    {
        $draft = new TaskDraft([
            'title' => $habit->title, 'area_id' => $habit->area_id, 'hours_set_id' => $habit->hours_set_id, 'stage' => TaskStage::Open->value, 'source' => 'habit', 'importance' => Importance::Medium,
            'estimate' => $habit->minutes, 'demand' => 'light', 'min_chunk' => $habit->minutes, 'max_chunk' => max(15, $habit->minutes), 'splits' => false, 'part' => $habit->part, 'habit_id' => $habit->id, 'occurs_on' => $week->asString(),
            'not_before' => $week->number > Moments::today($user, $now)->number ? Moments::moment(Zones::named($user->zone)->at($week, 0)) : null,
        ]);
        $this->births->all($user, array_fill(0, $times, $draft), $now);
    }
}
