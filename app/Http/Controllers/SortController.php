<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\Destination;
use App\Edits\Sort;
use App\Http\Requests\SortRequest;
use App\Models\User;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** Sorting what was caught. */
final readonly class SortController
{
    public function __invoke(SortRequest $request, #[CurrentUser] User $user, Sort $sort, Said $said): RedirectResponse
    {
        $tasks = $request->tasks($user);
        if ($tasks->isEmpty()) {
            return back()->withErrors(['ids' => __('task.none_chosen')]);
        }
        $to = $request->destination();
        $revision = $sort($user, $tasks, $to, $request->facts(), $request->project(), Clock::now(), Clock::said());
        $facts = ['title' => $tasks->first()->title ?? '', 'project' => $request->string('project')->toString(), 'person' => $request->string('waiting_for')->toString()];

        return ($to === Destination::LetGo && str_contains(url()->previous(), '/tasks/') ? redirect('/gather') : back())
            ->with($said->about($revision, trans_choice("task.sorted.{$to->value}", count($tasks), $facts)));
    }
}
