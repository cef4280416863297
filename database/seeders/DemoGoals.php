<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Habits\HabitWeeks;
use App\Models\Cycle;
use App\Models\Goal;
use App\Models\GoalStep;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Time\Weeks;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** Six weeks of a cycle with three goals, their steps and a habit; reviews that were held, and reports. */
final class DemoGoals
{
    /** Name, purpose, area, project, unit, target, weekly, due in working days, where it stood at each week's end. */
    private const GOALS = [
        ['Catalogue to print', 'A book that outlasts the tour.', 'Publications', 'Catalogue', 'sections read and set', 6, false, 7, [0, 1, 1, 2, 3, 4]],
        ['Twelve lenders signed', 'Every object insured and on its way.', 'Loans & lenders', 'Lender agreements', 'lenders signed', 12, false, 3, [1, 2, 4, 5, 6, 8]],
        ['Run 15 km a week', 'Light on my feet when the show hangs.', 'Home', null, 'km', 15, true, null, [15, 15, 10, 15, 15, 15]],
    ];

    /** Of the weeks that are over: kept and missed steps of each goal. */
    private const STEPS = [
        ['Catalogue to print', [[2, 0], [2, 1], [1, 1], [2, 0], [2, 0], [2, 1]], ['Essay 1, first reading', 'Section 1, set', 'Essay 3, first reading', 'Section 2, set', 'Plates, order', 'Foreword read', 'Section 3, read', 'Essay 3, notes', 'Section 4, read', 'Maps checked', 'Section 3, set', 'Captions, maps', 'Section 4, set', 'Index words']],
        ['Twelve lenders signed', [[1, 0], [2, 0], [3, 0], [1, 1], [2, 0], [2, 0]], ['Leiden signed', 'Basel signed', 'Bergen asked', 'Bergen signed', 'Trieste signed', 'Zurich terms', 'Cork signed', 'Graz asked', 'Ferrara signed', 'Graz signed', 'Oslo asked', 'Oslo signed']],
    ];

    /** Of this week and the next: short titles of open tasks. */
    private const OPEN = [
        ['Catalogue to print', 0, ['Essay 2', 'Captions']], ['Catalogue to print', 1, ['Credits', 'Colour proofs']],
        ['Twelve lenders signed', 0, ['Porto', 'Maas Archive', 'Ghent agreement', 'Porto insurance']], ['Twelve lenders signed', 1, ['Lyon schedule']],
    ];

    private const RUN = 'Run, canal loop';

    public function __construct(private readonly CarbonImmutable $now, private readonly DemoDates $dates, private readonly HabitWeeks $weeks) {}

    public function fill(User $user): void
    {
        $today = LocalDay::fromString($this->dates->day(0)->format('Y-m-d'));
        $first = Weeks::first($user, $today)->plusDays(-42);
        $cycle = $user->cycles()->create(['begins_on' => $first->asString(), 'weeks' => 12, 'vision' => "The rivers get a home that travels: a show that hangs well, a book that lasts, and an autumn with free evenings.\n\nWhat is not for that can wait until the tour has left."]);
        $areas = $user->areas()->pluck('id', 'name');
        $projects = $user->projects()->pluck('id', 'name');
        $goals = [];
        foreach (self::GOALS as $i => [$name, $purpose, $area, $project, $unit, $target, $weekly, $due, $stood]) {
            $goal = $cycle->goals()->make(['name' => $name, 'purpose' => $purpose, 'area_id' => $areas[$area], 'project_id' => $project === null ? null : $projects[$project], 'unit' => $unit, 'target' => $target, 'weekly' => $weekly, 'due_on' => $this->dates->dueOn($due), 'position' => $i]);
            $goal->user_id = $user->id;
            $goal->save();
            $goals[$name] = $goal;
            foreach ($stood as $week => $value) {
                $weekly || $goal->marks()->create(['user_id' => $user->id, 'date' => $first->plusDays(7 * $week + 4)->asString(), 'value' => $value]);
            }
        }
        $this->steps($user, $goals, $first);
        $this->habit($user, $goals['Run 15 km a week'], $areas['Home'], $cycle, $today);
        $this->reviews($user, $first);
        $user->reports()->create(['name' => 'Week to the director', 'scope' => 'week', 'sections' => 'done,next,stuck', 'to' => 'director@harrow-lane.example', 'remind_on' => 5, 'remind_at' => 990]);
        $user->reports()->create(['name' => 'Catalogue, for Prue', 'scope' => 'project', 'project_id' => $projects['Catalogue'], 'sections' => 'done,next,stuck,due', 'to' => 'prue@harrow-lane.example', 'position' => 1]);
        $user->areas()->where('name', 'Home')->update(['private' => true]);
        foreach (['Exhibition' => 'What would a visitor miss if it hung today? What must Tomás know?', 'Loans & lenders' => 'Who waits for a word from you? What must be signed before Tuesday?', 'Publications' => 'What keeps the printer waiting?', 'Team' => 'Who carries too much? What did you promise upstairs?'] as $area => $prompt) {
            $user->areas()->where('name', $area)->update(['prompt' => $prompt]);
        }
    }

    /** @param  array<string, Goal>  $goals */
    private function steps(User $user, array $goals, LocalDay $first): void
    {
        foreach (self::STEPS as [$name, $weeks, $titles]) {
            $goal = $goals[$name];
            foreach ($weeks as $week => [$kept, $missed]) {
                $begin = $first->plusDays(7 * $week);
                for ($i = 0; $i < $kept + $missed; $i++) {
                    $title = array_shift($titles) ?? "{$name}, step";
                    $day = $begin->plusDays($i < $kept ? 1 + $i : 8);
                    $done = CarbonImmutable::parse($day->asString().' 15:30', $user->zone)->utc();
                    $done = $done < $this->now ? $done : $this->now->subDay();
                    $task = $user->tasks()->make(['title' => $title, 'area_id' => $goal->area_id, 'stage' => TaskStage::Open, 'importance' => 3, 'estimate' => 45, 'said' => 45, 'done_at' => $done]);
                    $task->created_at = $done->subDays(9);
                    $task->save();
                    $goal->steps()->create(['user_id' => $user->id, 'task_id' => $task->id, 'week_on' => $begin->asString(), 'fate' => $i < $kept ? null : GoalStep::OVER]);
                }
            }
        }
        foreach (self::OPEN as [$name, $ahead, $shorts]) {
            foreach ($shorts as $short) {
                $goals[$name]->steps()->create(['user_id' => $user->id, 'task_id' => $user->tasks()->where('short', $short)->sole()->id, 'week_on' => $first->plusDays(7 * (6 + $ahead))->asString()]);
            }
        }
        $yesterday = $this->dates->workday(-1)->setTime(11, 15)->utc();
        $task = $user->tasks()->make(['title' => 'Essay 1, last corrections', 'short' => 'Essay 1', 'area_id' => $goals['Catalogue to print']->area_id, 'stage' => TaskStage::Open, 'importance' => 3, 'estimate' => 60, 'said' => 60, 'demand' => 'deep', 'done_at' => $yesterday]);
        $task->created_at = $yesterday->subDays(6);
        $task->save();
        $goals['Catalogue to print']->steps()->create(['user_id' => $user->id, 'task_id' => $task->id, 'week_on' => $first->plusDays(42)->asString()]);
    }

    /** Three runs a week, half an hour each; this week's first was on Monday, and today's lies in the evening already. */
    private function habit(User $user, Goal $goal, int $area, Cycle $cycle, LocalDay $today): void
    {
        $habit = $user->habits()->create(['title' => self::RUN, 'area_id' => $area, 'goal_id' => $goal->id, 'minutes' => 30, 'times' => 3, 'from' => $cycle->begins_on]);
        $weeks = $cycle->span();
        $begin = $weeks->begin(7);
        $user->tasks()->where('short', 'Run')->update(['habit_id' => $habit->id, 'occurs_on' => $begin->asString()]); // today's, before the others come
        for ($week = 1; $week <= 6; $week++) {
            $first = $weeks->begin($week);
            foreach ([0, 2, 5] as $i => $day) {
                $this->run($user, $goal, $habit->id, $first, $first->plusDays($day), $week === 3 && $i === 2);
            }
        }
        $this->run($user, $goal, $habit->id, $begin, $begin, $begin->equals($today));
        $this->weeks->fill($user, $habit, $begin, 1, $this->now);
        $this->weeks->fill($user, $habit, $begin->plusDays(7), 3, $this->now);
    }

    private function run(User $user, Goal $goal, int $habit, LocalDay $week, LocalDay $day, bool $isMissed): void
    {
        $start = CarbonImmutable::parse($day->asString().' '.($day->weekday() === 6 ? '10:00' : '17:45'), $user->zone)->utc();
        $task = $user->tasks()->make(['title' => self::RUN, 'short' => 'Run', 'area_id' => $goal->area_id, 'stage' => TaskStage::Open, 'source' => 'habit', 'importance' => 2, 'estimate' => 30, 'said' => 30, 'splits' => false, 'habit_id' => $habit, 'occurs_on' => $week->asString(), 'done_at' => $isMissed || $start >= $this->now ? null : $start->addMinutes(29)]);
        $task->created_at = $start->subDays(4);
        $isMissed && $start < $this->now && $task->deleted_at = $start->addDays(2);
        $task->save();
        if ($task->done_at !== null) {
            $user->entries()->create(['task_id' => $task->id, 'starts_at' => $start, 'ends_at' => $start->addMinutes(29)]);
            $goal->marks()->create(['user_id' => $user->id, 'date' => $day->asString(), 'value' => 5]);
            $this->accounted($user, $goal, $task, $day);
        }
    }

    /** The day's account knows of it: it is closed late enough. */
    private function accounted(User $user, Goal $goal, Task $task, LocalDay $day): void
    {
        $closed = $user->closedDays()->where('date', $day->asString())->first();
        if ($closed !== null) {
            $row = ['task' => $task->id, 'title' => $task->title, 'area' => $goal->area_id, 'areaName' => 'Home', 'hue' => 'clay', 'promised' => 0, 'actual' => 29, 'became' => 'added', 'key' => false, 'due' => false, 'done' => true, 'next' => null, 'fate' => null];
            $closed->update(['account' => ['rows' => [...($closed->account['rows'] ?? []), $row]], 'closed_at' => $task->done_at?->addMinutes(20)]);
        }
    }

    private function reviews(User $user, LocalDay $first): void
    {
        foreach ([0, 1, 3, 4, 5] as $week) {
            $at = CarbonImmutable::parse($first->plusDays(7 * $week + 4)->asString().' 17:04', $user->zone)->utc();
            $user->reviews()->create(['week_on' => $first->plusDays(7 * $week)->asString(), 'step' => 7, 'caught' => [], 'begun_at' => $at, 'closed_at' => $at->addMinutes(13), 'note' => ['The agreements need a day of their own.', 'Proofs arrive on Tuesdays; keep Tuesday morning.', 'Two essays at once is one too many.', 'The light decides where the texts hang.', 'Prue needs the credits early.'][$week % 5]]);
        }
    }
}
