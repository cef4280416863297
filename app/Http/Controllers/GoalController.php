<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Goals\CycleEdit;
use App\Goals\DateWork;
use App\Goals\GoalEdit;
use App\Goals\StepEdit;
use App\Http\AskedDay;
use App\Http\Requests\GoalRequest;
use App\Http\Requests\MarkRequest;
use App\Http\Requests\StepRequest;
use App\Models\Goal;
use App\Models\GoalStep;
use App\Models\Task;
use App\Models\User;
use App\Screens\Goals\GoalRow;
use App\Screens\Goals\GoalsScreen;
use App\Screens\WeekPlan\PlaceSteps;
use App\Time\Clock;
use App\Time\Moments;
use App\Time\Weeks;
use App\Wording\Dates;
use App\Wording\Said;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nekto\Core\Time\LocalDay;

/** Goals of the present cycle, with their steps. */
final readonly class GoalController
{
    public function __construct(private GoalEdit $goals, private StepEdit $steps, private Said $said) {}

    public function index(#[CurrentUser] User $user, GoalsScreen $screen): View
    {
        return view('screens.goals', $screen->of($user, Clock::now()));
    }

    public function store(GoalRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $cycle = CycleEdit::present($user) ?? abort(404);
        $revision = $this->goals->make($user, $cycle, $request->columns(), Clock::now());

        return redirect('/goals')->with($this->said->about($revision, __('goals.made', ['name' => $request->string('name')->toString()])));
    }

    public function update(GoalRequest $request, Goal $goal): RedirectResponse
    {
        $revision = $this->goals->change($goal, $request->columns(), Clock::now());

        return redirect('/goals')->with($this->said->about($revision, __('goals.kept', ['name' => $goal->name])));
    }

    public function destroy(Goal $goal): RedirectResponse
    {
        $revision = $this->goals->remove($goal, Clock::now());

        return redirect('/goals')->with($this->said->about($revision, __('goals.gone', ['name' => $goal->name])));
    }

    /** Where its measure stands. */
    public function mark(MarkRequest $request, Goal $goal): RedirectResponse
    {
        $value = (float) $request->input('value');
        $revision = $this->goals->mark($goal, $value, Clock::now());

        return back()->with($this->said->about($revision, __('goals.moved', ['name' => $goal->name, 'value' => GoalRow::figure($value).($goal->unit === '' ? '' : " {$goal->unit}")])));
    }

    /** A step by a line, or a task that is there already. */
    public function step(StepRequest $request, Goal $goal, #[CurrentUser] User $user): RedirectResponse
    {
        $now = Clock::now();
        $week = $this->week($user, $goal, $request->week(), $now);
        if ($week === null) {
            return back()->withInput()->withErrors(['week' => __('goals.week_outside')]);
        }
        if ($request->filled('task')) {
            $task = $user->tasks()->findOrFail($request->integer('task'));
            $revision = $this->steps->set($user, $goal, $task, $week, $now);
        } else {
            [$revision, $task] = $this->steps->byLine($user, $goal, $week, $request->line(), $request->refused()[1] ?? [], $request->proposed()[1] ?? [], $now);
        }

        return back()->with($this->said->about($revision, __('goals.step_set', ['title' => $task->title ?? $request->line(), 'goal' => $goal->name, 'week' => Dates::of($user)->ofMonth($week)])));
    }

    /** Not finished: it goes over to a later week. */
    public function over(GoalStep $step, #[CurrentUser] User $user): RedirectResponse
    {
        $now = Clock::now();
        $revision = $this->steps->over($user, $step, $now);

        return back()->with($this->said->about($revision, __('goals.step_over', ['title' => $step->task->title, 'week' => Dates::of($user)->ofMonth(StepEdit::later($user, $step, $now))])));
    }

    public function letGo(GoalStep $step, #[CurrentUser] User $user): RedirectResponse
    {
        $revision = $this->steps->letGo($user, $step, Clock::now());

        return back()->with($this->said->about($revision, __('goals.step_gone', ['title' => $step->task->title])));
    }

    /** Gives each step of a week that has no block its day: of this one, or of that of a date. */
    public function place(Request $request, #[CurrentUser] User $user, PlaceSteps $place): RedirectResponse
    {
        $now = Clock::now();
        $week = $request->input('week');
        [$revision, $placed, $rest] = $place($user, Weeks::first($user, AskedDay::of($user, is_string($week) && $week !== '' ? $week : null, $now)), $now);

        return back()->with($this->said->about($revision, trim(trans_choice('goals.placed', $placed).' '.($rest > 0 ? trans_choice('goals.placed_rest', $rest) : ''))));
    }

    /** Work of a goal without a date is due by the goal's: then Horizon knows it, and names the ways out. */
    public function date(Goal $goal, #[CurrentUser] User $user, DateWork $date): RedirectResponse
    {
        [$revision, $count] = $date($user, $goal, Clock::now());

        return back()->with($this->said->about($revision, trans_choice('goals.dated', $count)));
    }

    /** The first day of a step's week; null outside the cycle. */
    private function week(User $user, Goal $goal, ?LocalDay $asked, CarbonImmutable $now): ?LocalDay
    {
        $weeks = $goal->cycle->span();
        $day = $asked ?? Moments::today($user, $now);
        $number = $weeks->of($day) ?? ($asked === null && $day->number < $weeks->first->number ? 1 : null);

        return $number === null ? null : $weeks->begin($number);
    }
}
