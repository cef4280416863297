<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\BalanceDays;
use App\Edits\MoveTogether;
use App\Edits\PlanWeek;
use App\Http\AskedDay;
use App\Http\Requests\BalanceRequest;
use App\Http\Requests\MoveTogetherRequest;
use App\Http\Requests\WeekPlanRequest;
use App\Models\PlanRevision;
use App\Models\User;
use App\Planning\Trial;
use App\Screens\Shape\DropPreview;
use App\Screens\Week\WeekScreen;
use App\Screens\WeekPlan\WeekPlanScreen;
use App\Time\Clock;
use App\Time\Moments;
use App\Time\Weeks;
use App\Time\Zones;
use App\Wording\Said;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nekto\Core\Time\LocalDay;

/** The days of a week. */
final readonly class WeekController
{
    public function show(Request $request, #[CurrentUser] User $user, WeekScreen $screen, ?string $date = null): View
    {
        $now = Clock::now();

        return view('screens.week', $screen->of($user, $this->week($user, $date ?? Moments::today($user, $now)->asString(), $now), $now, $request->query('face') === 'list', $request->boolean('balance')));
    }

    /** Several blocks at once, by hand. */
    public function move(MoveTogetherRequest $request, #[CurrentUser] User $user, MoveTogether $move, Said $said): RedirectResponse
    {
        return back()->with($said->about($move($user, $request->blocks(), $request->integer('days'), $request->integer('minutes'), Clock::now())));
    }

    /** What that would do, while they are in the air. */
    public function try(MoveTogetherRequest $request, #[CurrentUser] User $user, MoveTogether $move, Trial $trial): JsonResponse
    {
        $now = Clock::now();
        $tried = $trial->of($user, Moments::today($user, $now), $now, static fn (): ?PlanRevision => $move($user, $request->blocks(), $request->integer('days'), $request->integer('minutes'), $now));

        return response()->json(DropPreview::words($user, $tried->revision, $now));
    }

    /** Takes moves of a balanced week, all or some. */
    public function balance(BalanceRequest $request, #[CurrentUser] User $user, BalanceDays $balance, Said $said): RedirectResponse
    {
        $now = Clock::now();
        $revision = $balance->take($user, $request->blocks(), $request->starts(), $now);
        $day = Zones::named($user->zone)->dayOf(min($request->starts()));

        return redirect('/week/'.Weeks::first($user, $day)->asString())->with($said->about($revision));
    }

    /** The week in one run, as far as it is chosen. */
    public function plan(WeekPlanRequest $request, #[CurrentUser] User $user, WeekPlanScreen $screen, ?string $date = null): View
    {
        $now = Clock::now();

        return view('screens.week-plan', $screen->of($user, $this->week($user, $date, $now), $now, $request->chosen()));
    }

    /** Takes it: what is chosen, and what is proposed for the rest. */
    public function takePlan(WeekPlanRequest $request, #[CurrentUser] User $user, PlanWeek $take, Said $said, string $date): RedirectResponse
    {
        $now = Clock::now();
        $first = $this->week($user, $date, $now);
        $days = array_filter($request->chosen(), static fn (?int $day): bool => $day === null || ($day >= $first->number && $day < $first->number + WeekScreen::DAYS));

        return redirect('/week/'.$first->asString())->with($said->about($take($user, $days, $first, $now), trans_choice('weekplan.taken', count(array_filter($days, static fn (?int $day): bool => $day !== null)))));
    }

    /** The first day of a date's week; without one that of today, from Friday on of the next. */
    private function week(User $user, ?string $date, CarbonImmutable $now): LocalDay
    {
        $day = AskedDay::of($user, $date, $now);
        $day = $date === null && $day->weekday() >= 5 ? $day->plusDays(7) : $day;

        return Weeks::first($user, $day);
    }
}
