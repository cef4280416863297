<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catch\CaughtLine;
use App\Edits\DoneByLine;
use App\Edits\TaskEdit;
use App\Http\Requests\DoRequest;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\User;
use App\Screens\Find\FindScreen;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Find, or do: everything in one index, and a line that does something with what it finds. */
final readonly class FindController
{
    /** Letters of a line. */
    private const LONGEST = 200;

    public function index(Request $request, #[CurrentUser] User $user, FindScreen $screen): View
    {
        return view('screens.search', $screen->of($user, mb_substr($request->string('q')->trim()->toString(), 0, self::LONGEST)));
    }

    /** What the line says, with the task that was meant. */
    public function do(DoRequest $request, Task $any, #[CurrentUser] User $user, TaskEdit $edit, Said $said): RedirectResponse
    {
        $now = Clock::now();
        $line = DoneByLine::of($user, (new CaughtLine($user, $now))->parser, $request->line());
        $what = $line?->said($any, $now) ?? '';
        if ($line === null || $what === '') {
            return back()->withErrors(['q' => __('find.nothing_did', ['title' => $any->title])]);
        }
        $revision = $edit->change($any, $line->columns($now), $now, RevisionCause::Changed);

        return redirect('/search')->with($said->about($revision, __('find.did', ['title' => $any->title, 'what' => $what])));
    }
}
