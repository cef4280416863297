<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\TaskEdit;
use App\Http\Requests\ManyRequest;
use App\Http\Requests\TaskRequest;
use App\Http\SafeAddress;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Screens\Task\TaskForesight;
use App\Screens\Task\TaskScreen;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** One task: its form, its way from the inbox to Weigh, letting it go. */
final readonly class TaskController
{
    public function __construct(private TaskEdit $edit, private TaskScreen $screen) {}

    /** Also of one that was let go: it says so, and is brought back there. */
    public function edit(Task $any, #[CurrentUser] User $user): View
    {
        return view('screens.task', $this->screen->of($user, $any, SafeAddress::own(url()->previous('/gather')) ?? '/gather'));
    }

    public function update(TaskRequest $request, Task $task, Said $said): RedirectResponse
    {
        $revision = $this->edit->change($task, $request->columns(), Clock::now(), contexts: $request->contexts());
        $to = $request->filled('back') ? SafeAddress::own($request->string('back')->toString()) : null;

        return ($to === null ? back() : redirect($to))->with($said->about($revision, __('task.saved', ['title' => $task->title])));
    }

    /** What a change of it would do, asked before it is kept. */
    public function foresee(TaskRequest $request, Task $task, TaskForesight $foresight): JsonResponse
    {
        return response()->json($foresight->of($task, $request->columns(), Clock::now()));
    }

    /** Done after all it is not: it goes on where it was, with the minutes it has. */
    public function reopen(Task $task, Said $said): RedirectResponse
    {
        $revision = $this->edit->change($task, ['done_at' => null], Clock::now());

        return back()->with($said->about($revision, __('task.reopened', ['title' => $task->title])));
    }

    /** Out of the inbox, to be weighed. */
    public function weigh(Task $task, Said $said): RedirectResponse
    {
        $revision = $this->edit->change($task, ['stage' => TaskStage::Open], Clock::now());

        return back()->with($said->about($revision, __('task.sent_to_weigh', ['title' => $task->title])));
    }

    public function destroy(Task $task, Said $said): RedirectResponse
    {
        $revision = $this->edit->letGo($task->user, collect([$task]), Clock::now());

        return redirect($task->stage === TaskStage::Inbox ? '/gather' : '/weigh')->with($said->about($revision, __('task.let_go', ['title' => $task->title])));
    }

    /** The same change for several tasks. */
    public function many(ManyRequest $request, #[CurrentUser] User $user, Said $said): RedirectResponse
    {
        $tasks = $request->tasks($user);
        $revision = $this->edit->changeAll($user, $tasks, $request->columns(), Clock::now(), project: $request->project());

        return back()->with($said->about($revision, trans_choice('task.many', count($tasks))));
    }

    /** What was let go comes back to where it was. */
    public function bringBack(Task $trashed, Said $said): RedirectResponse
    {
        $revision = $this->edit->bringBack($trashed, Clock::now());

        return back()->with($said->about($revision, __('task.brought_back', ['title' => $trashed->title])));
    }
}
