<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clock\Timer;
use App\Http\Requests\BlockedRequest;
use App\Http\Requests\BlockRequest;
use App\Http\Requests\EntryRequest;
use App\Http\Requests\ForgottenRequest;
use App\Http\Requests\WentOnRequest;
use App\Models\Block;
use App\Models\Entry;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\User;
use App\Planning\Replan;
use App\Screens\Work\WorkScreen;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Working through the day: the clock, more time, what is in the way, minutes put right afterwards. */
final readonly class WorkController
{
    public function __construct(private Timer $timer, private Said $said, private Replan $replan) {}

    public function show(Request $request, #[CurrentUser] User $user, WorkScreen $screen): View
    {
        return view($request->boolean('quiet') ? 'screens.quiet' : 'screens.work', $screen->of($user, Clock::now()));
    }

    public function start(Request $request, Task $task, #[CurrentUser] User $user): RedirectResponse
    {
        $block = $request->filled('block') ? $user->blocks()->where('task_id', $task->id)->find($request->integer('block')) : null;
        $revision = $this->timer->start($user, $task, $block, Clock::now(), Clock::said());

        return redirect('/work')->with($this->switched($revision, __('work.started', ['title' => $task->title])));
    }

    /** @return array<string, mixed> for the next page */
    private function switched(?PlanRevision $revision, string $words): array
    {
        return $revision === null ? ['status' => $words] : $this->said->about($revision, $words);
    }

    public function pause(#[CurrentUser] User $user): RedirectResponse
    {
        return back()->with($this->switched($this->timer->pause($user, Clock::now(), Clock::said()), __('work.paused')));
    }

    public function rest(#[CurrentUser] User $user): RedirectResponse
    {
        return back()->with($this->switched($this->timer->rest($user, Clock::now(), Clock::said()), __('work.resting')));
    }

    public function more(BlockRequest $request, Block $block): RedirectResponse
    {
        $minutes = $request->integer('minutes');
        if ($minutes < 5 || $minutes > 240) {
            return back()->withErrors(['minutes' => __('work.how_many')]);
        }
        $request->ensureCurrent($block);

        $revision = $this->timer->more($block->load(['task', 'user']), $minutes, Clock::now());

        return back()->with($this->said->about($revision));
    }

    public function blocked(BlockedRequest $request, Block $block): RedirectResponse
    {
        $request->ensureCurrent($block);
        $revision = $this->timer->blocked($block->load(['task', 'user']), $request->by(), $request->askOn(), Clock::now());

        return redirect('/work')->with($this->said->about($revision, __('task.answered.hand_off', ['title' => $block->task->title, 'person' => $request->by()])));
    }

    /** What was true of a clock that was forgotten: when it should have stopped, or that it should not have run. */
    public function settle(ForgottenRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $entry = $request->entry();
        if ($entry === null) {
            return back()->with('status', __('work.nothing_forgotten'));
        }

        return $this->keep($user, static function () use ($request, $entry): void {
            $request->boolean('none') ? $entry->delete() : $entry->update(['ends_at' => $request->end()]);
        }, __($request->boolean('none') ? 'work.entry_gone' : 'work.entry_kept'));
    }

    /** Whether the work went on when a meeting had stopped the clock: until when, or not. */
    public function wentOn(WentOnRequest $request, Entry $entry, #[CurrentUser] User $user): RedirectResponse
    {
        return $this->keep($user, static function () use ($request, $entry): void {
            $entry->update(['stopped_by' => null, ...($request->boolean('none') ? [] : ['ends_at' => $request->end()])]);
        }, __('work.entry_kept'));
    }

    /** Minutes entered or put right by hand. */
    public function store(EntryRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        return $this->keep($user, static function () use ($request, $user): void {
            $user->entries()->create($request->columns());
        }, __('work.entry_kept'));
    }

    public function update(EntryRequest $request, Entry $entry, #[CurrentUser] User $user): RedirectResponse
    {
        return $this->keep($user, static function () use ($request, $entry): void {
            $entry->update($request->columns());
        }, __('work.entry_kept'));
    }

    public function destroy(Entry $entry, #[CurrentUser] User $user): RedirectResponse
    {
        return $this->keep($user, static function () use ($entry): void {
            $entry->delete();
        }, __('work.entry_gone'));
    }

    /** @param  \Closure(): void  $change */
    private function keep(User $user, \Closure $change, string $words): RedirectResponse
    {
        $revision = $this->replan->after($user, Clock::now(), $change, RevisionCause::Minutes);

        return back()->with($this->said->about($revision, $words));
    }
}
