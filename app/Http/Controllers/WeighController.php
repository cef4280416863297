<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clock;
use App\Models\BlockState;
use App\Models\User;
use App\Planning\RowMapper;
use App\Screens\Candidate;
use App\Screens\Candidates;
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
        $tasks = $user->tasks()->open()->with('area')->orderBy('created_at')->orderBy('id')->get();
        $planned = $user->blocks()->where('state', BlockState::Planned)->get();
        $all = $candidates->of($tasks, $planned, $candidates->time($user, RowMapper::today($user, $now)), $now);
        [$unweighed, $weighed] = $all->partition(static fn (Candidate $one): bool => $one->task->importance === null);

        $weighed = Candidate::byPull($weighed);
        $whole = $request->boolean('all');

        return view('screens.weigh', [
            'user' => $user,
            'now' => $now,
            'unweighed' => $unweighed->take(self::ROWS),
            'unweighedCount' => $unweighed->count(),
            'weighed' => $whole ? $weighed : $weighed->take(self::ROWS),
            'weighedCount' => $weighed->count(),
        ]);
    }
}
