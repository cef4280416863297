<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\BalanceDays;
use App\Edits\MoveTogether;
use App\Http\Requests\BalanceRequest;
use App\Http\Requests\MoveTogetherRequest;
use App\Models\PlanRevision;
use App\Models\User;
use App\Planning\Trial;
use App\Screens\Shape\DropPreview;
use App\Screens\Week\WeekScreen;
use App\Time\Clock;
use App\Time\Moments;
use App\Time\Zones;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/** The days of a week. */
final readonly class WeekController
{
    /** Days from today that can be looked at. */
    private const FARTHEST = 800;

    public function show(Request $request, #[CurrentUser] User $user, WeekScreen $screen, ?string $date = null): View
    {
        $now = Clock::now();
        $today = Moments::today($user, $now);
        try {
            $day = $date === null ? $today : LocalDay::fromString($date);
        } catch (InvalidTime) {
            abort(404);
        }
        abort_if(abs($day->number - $today->number) > self::FARTHEST, 404);

        return view('screens.week', $screen->of($user, WeekScreen::firstOf($day, $user), $now, $request->query('face') === 'list', $request->boolean('balance')));
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

        return redirect('/week/'.WeekScreen::firstOf($day, $user)->asString())->with($said->about($revision));
    }
}
