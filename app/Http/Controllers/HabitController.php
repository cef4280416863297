<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Habits\HabitEdit;
use App\Http\Requests\HabitRequest;
use App\Models\Habit;
use App\Models\User;
use App\Time\Clock;
use App\Time\Moments;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** Habits, and one time of one done. */
final readonly class HabitController
{
    public function __construct(private HabitEdit $edit, private Said $said) {}

    public function store(HabitRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $columns = $request->columns();

        return back()->with($this->said->about($this->edit->make($user, $columns, Clock::now()), __('goals.habit.made', ['title' => $columns['title']])));
    }

    public function update(HabitRequest $request, Habit $habit): RedirectResponse
    {
        $revision = $this->edit->change($habit, $request->columns(), Clock::now());

        return back()->with($this->said->about($revision, __('goals.habit.kept', ['title' => $habit->title])));
    }

    /** It ends; what was done of it stays. */
    public function destroy(Habit $habit): RedirectResponse
    {
        $revision = $this->edit->end($habit, Clock::now());

        return back()->with($this->said->about($revision, __('goals.habit.ended', ['title' => $habit->title])));
    }

    public function done(Habit $habit): RedirectResponse
    {
        $now = Clock::now();
        [$revision, $isOne] = $this->edit->done($habit->load('user'), Clock::said(), $now);
        if (! $isOne) {
            return back()->with('status', __('goals.habit.all_done', ['title' => $habit->title]));
        }
        $week = $habit->timesAround(Moments::today($habit->user, $now));

        return back()->with($this->said->about($revision, __('goals.habit.done', ['title' => $habit->title, 'done' => (clone $week)->whereNotNull('done_at')->count(), 'times' => $week->count()])));
    }
}
