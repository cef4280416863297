<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clock;
use App\Models\User;
use App\Planning\RowMapper;
use App\Screens\Candidate;
use App\Screens\Candidates;
use App\Screens\PlannedTimes;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** What it is worth and how pressing it is: the plain list, unweighed items first. */
final readonly class WeighController
{
    /** More than anyone weighs in one go; the rest is a press away. */
    private const ROWS = 50;

    public function __invoke(Request $request, #[CurrentUser] User $user, Candidates $candidates): View
    {
        $now = Clock::now();
        $all = $candidates->of($user, PlannedTimes::of($user), $candidates->time($user, RowMapper::today($user, $now)), $now);
        [$unweighed, $weighed] = $all->partition(static fn (Candidate $one): bool => $one->importance === null);
        $weighed = Candidate::byPull($weighed);
        $shown = [$unweighed->take(self::ROWS), $request->boolean('all') ? $weighed : $weighed->take(self::ROWS)];

        return view('screens.weigh', [
            'user' => $user,
            'now' => $now,
            'unweighed' => $shown[0],
            'unweighedCount' => $unweighed->count(),
            'weighed' => $shown[1],
            'tasks' => $user->tasks()->with('area')->findMany([...$shown[0]->keys(), ...$shown[1]->keys()])->keyBy('id'),
            'weighedCount' => $weighed->count(),
        ]);
    }
}
