<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use App\Screens\Week\WeekScreen;
use App\Time\Clock;
use App\Time\Moments;
use Illuminate\Container\Attributes\CurrentUser;
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

        return view('screens.week', $screen->of($user, WeekScreen::firstOf($day, $user), $now, $request->query('face') === 'list'));
    }
}
