<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\NewTasks;
use App\Http\Requests\TemplateDayRequest;
use App\Models\Repeat;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\Template;
use App\Models\User;
use App\Repeats\NextOccurrence;
use App\Repeats\Pattern;
use App\Repeats\StartRepeat;
use App\Time\Clock;
use App\Time\Moments;
use App\Undo\Journal;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Capture\LineParser;
use Nekto\Core\Time\LocalDay;

/** What comes back: templates, copies, repeating tasks. */
final readonly class TemplateController
{
    public function __construct(private Journal $journal, private NewTasks $births, private StartRepeat $start, private NextOccurrence $next, private Said $said) {}

    public function index(#[CurrentUser] User $user): View
    {
        return view('screens.templates', [
            'templates' => $user->templates()->get(),
            'repeats' => $user->repeats()->whereNull('ended_at')->with(['tasks' => static fn ($tasks) => $tasks->whereNull('done_at')])->orderBy('id')->get(),
        ]);
    }

    public function store(Request $request, Task $task): RedirectResponse
    {
        $name = $request->string('name')->trim()->limit(200, '')->toString() ?: $task->title;
        $task->user->templates()->create(['name' => $name, 'pattern' => Pattern::of($task, Moments::today($task->user, Clock::now()))]);

        return back()->with('status', __('task.template_kept', ['title' => $name]));
    }

    /** A new task from a template, its dates counted from a day. */
    public function use(TemplateDayRequest $request, Template $template, #[CurrentUser] User $user): RedirectResponse
    {
        $day = $request->day() ?? Moments::today($user, Clock::now());

        return $this->make($user, $template->pattern, $day);
    }

    public function destroy(Template $template): RedirectResponse
    {
        $template->delete();

        return back()->with('status', __('task.template_gone', ['title' => $template->name]));
    }

    public function duplicate(Task $task, #[CurrentUser] User $user): RedirectResponse
    {
        $today = Moments::today($user, Clock::now());

        return $this->make($user, Pattern::of($task, $today), $today);
    }

    /** Makes a task repeat, or changes how it does. The rule is typed as in any line: "every 2 weeks on tuesday". */
    public function repeat(Request $request, Task $task, #[CurrentUser] User $user): RedirectResponse
    {
        $now = Clock::now();
        $local = $user->local($now);
        $words = $request->string('repeat')->trim()->limit(200, '')->toString();
        $rule = (new LineParser(LocalDay::fromString($local->format('Y-m-d')), 60 * $local->hour + $local->minute, $user->month_first))->parse("x {$words}")->repeat();
        $daysOff = in_array($request->input('days_off'), ['skip', 'shift'], true) ? $request->string('days_off')->toString() : 'keep';
        if ($rule === null) {
            return back()->withInput()->withErrors(['repeat' => __('task.no_rule')]);
        }
        $made = DB::transaction(function () use ($task, $rule, $daysOff, $now): ?Repeat {
            $task->repeat()->update(['ended_at' => $now]);

            return ($this->start)($task, $rule->rule, $rule->afterDone, $now, $daysOff);
        });

        return $made === null ? back()->withInput()->withErrors(['repeat' => __('task.no_rule')]) : back()->with('status', __('task.repeats', ['title' => $task->title]));
    }

    /** Pause, go on, end; or take what the present occurrence looks like for all later ones. */
    public function updateRepeat(Request $request, Repeat $repeat): RedirectResponse
    {
        $now = Clock::now();
        $what = $request->string('what')->toString();
        $current = $repeat->tasks()->whereNull('done_at')->latest('id')->first();
        if ($what === 'pattern' && $current !== null) {
            $repeat->update(['pattern' => Pattern::of($current, LocalDay::fromString($current->occurs_on ?? $repeat->begins_on))]);
        } elseif ($what === 'pause') {
            $repeat->update(['paused_at' => $now]);
        } elseif ($what === 'go_on') {
            $repeat->update(['paused_at' => null]);
            $last = $repeat->tasks()->withTrashed()->latest('id')->first();
            $current === null && $last !== null && DB::transaction(fn () => ($this->next)($last));
        } elseif ($what === 'end') {
            $repeat->update(['ended_at' => $now]);
        }

        return back()->with('status', __('task.repeat_changed.'.(in_array($what, ['pattern', 'pause', 'go_on', 'end'], true) ? $what : 'pattern')));
    }

    /** @param  array<string, mixed>  $pattern */
    private function make(User $user, array $pattern, LocalDay $day): RedirectResponse
    {
        $made = null;
        $revision = $this->journal->record($user, RevisionCause::Caught, Clock::now(), function () use ($user, $pattern, $day, &$made): void {
            $made = $this->births->one($user, Pattern::draft($user, $pattern, $day)->with(['source' => 'template']), Clock::now());
        });
        $made ?? throw new \LogicException('A pattern makes a task.');

        return redirect("/tasks/{$made->id}")->with($this->said->about($revision?->refusing($this->births->refused()), __('task.made', ['title' => $made->title])));
    }
}
