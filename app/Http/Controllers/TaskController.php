<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clock;
use App\Http\Requests\TaskRequest;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Planning\TaskEdit;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** One task: its form, its way from the inbox to Weigh, letting it go. */
final readonly class TaskController
{
    public function __construct(private TaskEdit $edit) {}

    public function edit(Task $task, #[CurrentUser] User $user): View
    {
        return view('screens.task', ['task' => $task, 'areas' => $user->areas()->get(), 'back' => url()->previous('/gather')]);
    }

    public function update(TaskRequest $request, Task $task, Said $said): RedirectResponse
    {
        $revision = $this->edit->change($task, $request->columns(), Clock::now());
        $to = $request->string('back')->toString();

        return ($to !== '' && str_starts_with($to, url('/')) ? redirect($to) : back())->with($said->about($revision, __('task.saved', ['title' => $task->title])));
    }

    /** Out of the inbox, to be weighed. */
    public function weigh(Task $task, Said $said): RedirectResponse
    {
        $revision = $this->edit->change($task, ['stage' => TaskStage::Open], Clock::now());

        return back()->with($said->about($revision, __('task.sent_to_weigh', ['title' => $task->title])));
    }

    public function destroy(Task $task, Said $said): RedirectResponse
    {
        $revision = $this->edit->letGo($task, Clock::now());

        return redirect($task->stage === TaskStage::Inbox ? '/gather' : '/weigh')->with($said->about($revision, __('task.let_go', ['title' => $task->title])));
    }
}
