<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\AskedDay;
use App\Models\Task;
use App\Models\User;
use App\Screens\Horizon\HorizonScreen;
use App\Screens\Month\MonthScreen;
use App\Time\Clock;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/** Will it all fit? */
final readonly class HorizonController
{
    public function show(Request $request, #[CurrentUser] User $user, HorizonScreen $screen): View
    {
        $weeks = $request->integer('weeks');

        return view('screens.horizon', $screen->of(
            $user,
            in_array($weeks, HorizonScreen::WEEKS, true) ? $weeks : HorizonScreen::WEEKS[0],
            $request->query('hours') === 'all' ? 0 : ($request->integer('hours') ?: null),
            $request->boolean('ways'),
            $this->tried($request, $user),
            Clock::now(),
        ));
    }

    /** Five weeks, from the one of a day. */
    public function month(#[CurrentUser] User $user, MonthScreen $screen, ?string $date = null): View
    {
        $now = Clock::now();

        return view('screens.month', $screen->of($user, AskedDay::of($user, $date, $now), $now));
    }

    /** @return array{Task, LocalDay}|null a due date that is looked at */
    private function tried(Request $request, User $user): ?array
    {
        $task = $request->integer('task') > 0 ? $user->tasks()->open()->whereNotNull('importance')->counted(Clock::now())->find($request->integer('task')) : null;
        $day = $request->query('due');
        try {
            return $task === null || ! is_string($day) ? null : [$task, LocalDay::fromString($day)];
        } catch (InvalidTime) {
            return null;
        }
    }
}
