<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\NewTasks;
use App\Edits\TaskDraft;
use App\Http\Requests\LetterRequest;
use App\Http\Requests\WantedRequest;
use App\Models\RevisionCause;
use App\Models\TaskStage;
use App\Models\User;
use App\Planning\Replan;
use App\Post\PostMail;
use App\Screens\WhatIf\WhatIfScreen;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;
use Nekto\Core\Task\Importance;

/** A new piece of work, before one says yes: tried, kept as a task, answered with a letter. */
final readonly class WhatIfController
{
    public function show(WantedRequest $request, #[CurrentUser] User $user, WhatIfScreen $screen): View
    {
        return view('screens.what-if', $screen->of($user, $request->wanted(), Clock::now()));
    }

    /** Until then nothing was stored. */
    public function keep(WantedRequest $request, #[CurrentUser] User $user, NewTasks $births, Replan $replan, Said $said): RedirectResponse
    {
        $wanted = $request->wanted();
        if ($wanted->problem !== '' || $wanted->title === '') {
            return back()->withErrors(['wanted' => $wanted->problem !== '' ? $wanted->problem : __('whatif.say_what')]);
        }
        $now = Clock::now();
        $revision = $replan->after($user, $now, static function () use ($births, $user, $wanted, $now): void {
            $births->one($user, new TaskDraft([
                'title' => $wanted->title, 'estimate' => $wanted->minutes, 'demand' => $wanted->deep ? 'deep' : 'light', 'due_on' => $wanted->by?->asString(),
                'stage' => TaskStage::Open->value, 'importance' => Importance::Medium, 'source' => 'typed',
            ]), $now);
        }, RevisionCause::Caught);

        return redirect('/horizon')->with($said->about($revision, __('whatif.kept', ['title' => $wanted->title])));
    }

    public function letter(LetterRequest $request, #[CurrentUser] User $user, PostMail $post): RedirectResponse
    {
        $post->letter($user, $request->string('to')->toString(), $request->string('subject')->toString(), $request->string('body')->toString(), Clock::now());

        return back()->with('status', __('whatif.sent'));
    }
}
