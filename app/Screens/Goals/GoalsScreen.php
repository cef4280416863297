<?php

declare(strict_types=1);

namespace App\Screens\Goals;

use App\Goals\CycleEdit;
use App\Goals\GoalTasks;
use App\Goals\Measures;
use App\Models\Cycle;
use App\Models\Goal;
use App\Models\Habit;
use App\Models\TaskStage;
use App\Models\User;
use App\Planning\Prospects;
use App\Rows\Desk;
use App\Rows\GoalSteps;
use App\Rows\PastRatios;
use App\Time\Moments;
use App\Time\Weeks;
use App\Wording\Dates;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Estimate\Pair;
use Nekto\Core\Goals\CycleWeeks;
use Nekto\Core\Goals\EvenPace;
use Nekto\Core\Goals\GoalChance;
use Nekto\Core\Goals\Kept;
use Nekto\Core\Goals\Measure;
use Nekto\Core\Prospect\Ratios;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\LocalDay;

/** The cycle as a strip of weeks, its goals with their steps, and the habits of the week. */
final class GoalsScreen
{
    /** Weeks before this one that a habit shows. */
    private const WEEKS_BEFORE = 5;

    /** @var array<string, Ratios|null> by demand */
    private array $ratios = [];

    /** @var list<Pair>|null */
    private ?array $pairs = null;

    public function __construct(private readonly Desk $desk, private readonly Prospects $prospects, private readonly PastRatios $past) {}

    public function of(User $user, CarbonImmutable $now): GoalsPage
    {
        $cycle = CycleEdit::present($user);
        $today = $this->desk->today();
        $weeks = $cycle?->span();
        $week = $weeks?->of($today);
        $goals = $cycle === null ? [] : $this->goals($user, $cycle, $now);
        $dates = Dates::of($user);
        $steps = ['kept' => 0, 'judged' => 0, 'done' => 0, 'placed' => 0, 'open' => 0];
        foreach ($goals as $row) {
            $steps['kept'] += $row->kept;
            $steps['judged'] += $row->judged;
            foreach ($row->weeks[$week ?? 0] ?? [] as $one) {
                $steps[match ($one->peg()) {
                    'kept' => 'done',
                    'block' => 'placed',
                    default => 'open',
                }]++;
            }
        }
        $first = Weeks::first($user, $today);

        return new GoalsPage(
            cycle: $cycle,
            week: $week,
            weeks: $weeks === null ? [] : array_combine(range(1, $weeks->weeks), array_map(static fn (int $number): string => $dates->ofMonth($weeks->begin($number)), range(1, $weeks->weeks))),
            span: $weeks === null ? '' : $dates->span($weeks->first, $weeks->last()),
            count: $weeks === null ? '' : (string) (new \NumberFormatter('en', \NumberFormatter::SPELLOUT))->format($weeks->weeks),
            goals: $goals,
            shown: array_values(array_filter($goals, fn (GoalRow $row): bool => $this->desk->lens()->holdsArea($row->goal->area_id))),
            steps: $steps,
            scale: max([60, ...array_map(static fn (GoalRow $row): int => $row->vessel->reach(), $goals)]),
            habits: $this->habits($user, $first),
            asks: array_map(static fn (\stdClass $row): array => ['step' => (int) $row->id, 'title' => $row->title, 'goal' => $row->name, 'week' => $dates->ofMonth(LocalDay::fromString($row->week_on))], GoalSteps::undecided(array_map(static fn (GoalRow $row): int => $row->goal->id, $goals), $first)),
            earlier: $user->cycles()->whereNotNull('closed_at')->get(),
            areas: $this->desk->areas(),
            projects: $user->projects()->whereNull('done_at')->get(['id', 'name']),
            lists: $user->tasks()->whereNull('done_at')->whereHas('subtasks')->orderByDesc('id')->limit(200)->pluck('title', 'id'),
            part: round((Moments::minute($now) - $this->desk->time()->zone->at($first, 0)) / (7 * 1440), 4),
            nowLabel: $dates->weekday($today->weekday(), true).' '.Times::clock($user, $now),
            weekSpan: $week === null ? '' : $dates->span($weeks->begin($week), $weeks->begin($week)->plusDays(6)),
        );
    }

    /** @return list<GoalRow> */
    public function goals(User $user, Cycle $cycle, CarbonImmutable $now): array
    {
        $goals = $cycle->goals()->get()->each(fn (Goal $goal): Goal => $goal->setRelation('area', $this->desk->areas()[$goal->area_id] ?? throw new \LogicException('Every goal is in an area.'))->setRelation('user', $user));
        $ids = array_values(array_map(intval(...), $goals->modelKeys()));
        $measures = Measures::of($user, $goals->toBase(), $now);
        $steps = (new StepRows($this->desk))->of($ids, $cycle->span());
        $own = $ids === [] ? [] : DB::query()->fromSub(GoalTasks::of($ids), 'own')->join('tasks', 'tasks.id', 'own.task_id')->whereNull('tasks.done_at')->whereNull('tasks.deleted_at')->where('stage', TaskStage::Open->value)->get(['goal_id', 'task_id', 'demand'])->groupBy('goal_id')->map(static fn (Collection $some): array => $some->mapWithKeys(static fn (\stdClass $row): array => [(int) $row->task_id => $row->demand === Demand::Deep->value])->all())->all();
        $habits = $user->habits()->whereIn('goal_id', $ids)->get()->groupBy('goal_id');

        return array_values($goals->map(fn (Goal $goal): GoalRow => $this->row($goal, $cycle->span(), $measures[$goal->id], $steps[$goal->id] ?? [], $own[$goal->id] ?? [], ($habits[$goal->id] ?? new Collection)->all(), $now))->all());
    }

    /**
     * @param  array<int, list<StepRow>>  $steps
     * @param  array<int, bool>  $tasks  its open work by id: whether it is deep
     * @param  array<array-key, Habit>  $habits
     */
    private function row(Goal $goal, CycleWeeks $weeks, Measure $measure, array $steps, array $tasks, array $habits, CarbonImmutable $now): GoalRow
    {
        $user = $this->desk->user();
        $zone = $this->desk->time()->zone;
        $today = $this->desk->today();
        $minute = Moments::minute($now);
        $date = $goal->due_on === null ? $weeks->last() : LocalDay::fromString($goal->due_on);
        $due = (int) $this->desk->time()->due($date->asString(), null, $goal->area->hours_set_id);
        $week = $weeks->of($today);
        $begin = $zone->at($weeks->first, 0);
        $ends = [];
        for ($number = 1; $number <= $weeks->weeks && $zone->at($weeks->begin($number + 1), 0) <= $minute; $number++) {
            $ends[$number] = $measure->at($zone->at($weeks->begin($number + 1), 0) - 1, $goal->weekly ? $zone->at($weeks->begin($number), 0) : $begin);
        }
        $kept = $judged = 0;
        foreach ($steps as $number => $some) {
            foreach ($some as $one) {
                $judged += $one->kept === Kept::ToCome || $number >= ($week ?? PHP_INT_MAX) ? 0 : 1;
                $kept += $one->kept === Kept::Kept && $number < ($week ?? PHP_INT_MAX) ? 1 : 0;
            }
        }
        $thisWeek = $zone->at(Weeks::first($user, $today), 0);
        $value = $measure->at($minute, $goal->weekly ? $thisWeek : $begin);
        $pace = $goal->weekly ? EvenPace::ofWeek($goal->target, ($minute - $thisWeek) / 1440) : EvenPace::over($goal->target, $this->workingDays($goal, $weeks->first, $today, $minute), $this->workingDays($goal, $weeks->first, $date));
        $vessel = $this->vessel($goal, $due, $tasks, $habits, $date);
        $chance = $goal->weekly ? self::percent(GoalChance::ofWeeks(count(array_filter($ends, static fn (float $one): bool => $one >= $goal->target)), count($ends))) : $this->chance(array_keys($tasks), $vessel, $due);

        return new GoalRow($goal, $value, $pace, $goal->weekly ? __('goals.each_week', ['date' => Dates::of($user)->ofMonth($date)]) : Times::due($user, $due, false, $now), $steps, $ends, $kept, $judged, $vessel, $value >= $goal->target && ! $goal->weekly ? 100 : ($due <= $minute ? null : $chance), $due <= $minute ? self::wentBy($goal, $value) : $this->notes($goal, $value, $pace, $vessel, $steps[$week ?? 0] ?? []), $due <= $minute);
    }

    /** Days with hours from the first one on; up to a moment, that day in part, or to the end of a day. */
    private function workingDays(Goal $goal, LocalDay $first, LocalDay $last, ?int $until = null): float
    {
        $time = $this->desk->time();
        $days = 0.0;
        for ($day = $first; $day->number <= $last->number; $day = $day->plusDays(1)) {
            if (! $time->isOpenOn($goal->area->hours_set_id, $day)) {
                continue;
            }
            if ($until !== null && $day->equals($last)) {
                $span = $time->zone->day($day);
                $hours = $time->hours($goal->area->hours_set_id)->between($span->start, $span->end);

                return $days + $hours->minutesBetween($span->start, $until) / max(1, $hours->length());
            }
            $days += 1.0;
        }

        return $days;
    }

    /**
     * @param  array<int, bool>  $tasks
     * @param  array<array-key, Habit>  $habits
     */
    private function vessel(Goal $goal, int $due, array $tasks, array $habits, LocalDay $date): GoalVessel
    {
        $set = $goal->area->hours_set_id;
        $at = $this->desk->open()->curve($set)->at($due);
        $own = $dated = $deep = 0;
        foreach ($tasks as $id => $isDeep) {
            $one = $this->desk->open()->one($id);
            $isDated = $one !== null && $one->set === $set && $one->due !== null && $one->due <= $due && $one->importance !== null;
            $own += $one->toPlan ?? 0;
            $dated += $isDated ? $one->toPlan : 0;
            $deep += $isDeep && ! $isDated ? $one->toPlan ?? 0 : 0;
        }
        foreach ($habits as $habit) { // this week's and the next's are tasks already
            for ($week = Weeks::first($this->desk->user(), $this->desk->today())->plusDays(14); $week->number <= $date->number; $week = $week->plusDays(7)) {
                $own += $habit->minutes * \App\Habits\HabitWeeks::times($habit, $week);
            }
        }

        return new GoalVessel(max(0, $at->demand - $dated), $own, $own - $dated, $at->supply, in_array(true, $tasks, true) ? $this->desk->open()->curve($set)->at($due, true)->room() - $deep : null, Times::due($this->desk->user(), $due, false, $this->desk->now), (string) $this->desk->time()->sets->firstWhere('id', $set)?->name);
    }

    /**
     * Where all of its work is due just then it is the chance that Horizon says; else of all that must fit by then.
     *
     * @param  list<int>  $tasks
     */
    private function chance(array $tasks, GoalVessel $vessel, int $due): ?int
    {
        if ($due <= Moments::minute($this->desk->now)) {
            return null;
        }
        $chances = $this->prospects->chances($this->desk->user(), $this->desk->now);
        $ones = array_map($this->desk->open()->one(...), $tasks);
        $isDueThen = $ones !== [] && array_filter($ones, static fn ($one): bool => $one?->due !== $due || ! isset($chances[$one->id])) === [];
        if ($isDueThen) {
            return min(array_intersect_key($chances, array_flip($tasks)));
        }
        $work = [[$vessel->other, $this->ratios(Demand::Light)]];
        foreach ($ones as $one) {
            $one === null || $one->toPlan === 0 || $work[] = [$one->toPlan, $this->ratios(Demand::Deep)];
        }

        return in_array(null, array_column($work, 1), true) ? null : self::percent(GoalChance::of($work, $vessel->open));
    }

    private function ratios(Demand $demand): ?Ratios
    {
        return array_key_exists($demand->value, $this->ratios) ? $this->ratios[$demand->value] : $this->ratios[$demand->value] = $this->prospects->ratios($this->desk->user(), $demand, $this->pairs ??= $this->past->pairs($this->desk->user()));
    }

    private static function percent(?float $chance): ?int
    {
        return $chance === null ? null : (int) round(100 * $chance);
    }

    /** @return list<string> once its date is over */
    private static function wentBy(Goal $goal, float $value): array
    {
        return [$goal->weekly ? __('goals.weeks_over') : ($value >= $goal->target ? __('goals.reached') : __('goals.went_by', ['much' => GoalRow::figure(round($goal->target - $value, 1)), 'target' => GoalRow::figure($goal->target), 'unit' => $goal->unit]))];
    }

    /**
     * @param  list<StepRow>  $week
     * @return list<string>
     */
    private function notes(Goal $goal, float $value, float $pace, GoalVessel $vessel, array $week): array
    {
        if ($value >= $goal->target && ! $goal->weekly) {
            return [__('goals.reached')];
        }
        $bare = array_values(array_filter($week, static fn (StepRow $one): bool => $one->peg() === 'none'));

        return array_values(array_filter([
            $vessel->short() > 0 ? __($vessel->isDeep() ? 'goals.short_deep' : 'goals.short', ['minutes' => Times::duration($vessel->short())]) : '',
            $vessel->undated > 0 && $vessel->short() > 0 && ! $goal->weekly ? __('goals.undated', ['minutes' => Times::duration($vessel->undated)]) : '',
            $bare === [] ? '' : trans_choice('goals.no_block', count($bare), ['titles' => implode(', ', array_map(static fn (StepRow $one): string => $one->short, array_slice($bare, 0, 2))), 'more' => max(0, count($bare) - 2)]),
            $value < $pace - 0.005 * $goal->target ? __('goals.behind', ['much' => GoalRow::figure(round($pace - $value, 1)), 'unit' => $goal->unit]) : __('goals.even'),
            $week === [] ? __('goals.no_steps') : '',
        ]));
    }

    /** @return list<HabitRow> */
    private function habits(User $user, LocalDay $first): array
    {
        $since = $first->plusDays(-7 * self::WEEKS_BEFORE);
        $times = (new StepRows($this->desk))->ofHabits($user, $since);
        $rows = [];
        $habits = $user->habits()->where(fn ($one) => $one->whereNull('until')->orWhere('until', '>=', $this->desk->today()->asString()))->with('area')->get()->filter(fn (Habit $habit): bool => $this->desk->lens()->holdsArea($habit->area_id));
        foreach ($habits as $habit) {
            $before = [];
            foreach ($times[$habit->id] ?? [] as $week => $some) {
                $week < $first->asString() && $before[$week] = [count(array_filter($some, static fn (StepRow $one): bool => $one->kept === Kept::Kept)), count($some)];
            }
            ksort($before);
            $rows[] = new HabitRow($habit, $times[$habit->id][$first->asString()] ?? [], array_values($before), self::rule($user, $habit));
        }

        return $rows;
    }

    private static function rule(User $user, Habit $habit): string
    {
        return implode(', ', array_filter([
            trans_choice('goals.times', $habit->times, ['minutes' => Times::duration($habit->minutes)]),
            $habit->best_at !== null ? __('goals.about', ['time' => Times::ofDay($user, $habit->best_at)]) : ($habit->part === null ? '' : __("goals.part.{$habit->part}")),
            $habit->until === null ? '' : __('goals.until', ['date' => Dates::of($user)->ofMonth(LocalDay::fromString($habit->until))]),
        ]));
    }
}
