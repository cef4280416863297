<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Repeat;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\Template;
use App\Models\User;
use App\Repeats\NextOccurrence;
use App\Repeats\Pattern;
use App\Repeats\StartRepeat;
use App\Rows\RowMapper;
use App\Time\Clock;
use App\Undo\Journal;
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
    public function __construct(private Journal $journal) {}

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
        $task->user->templates()->create(['name' => $name, 'pattern' => Pattern::of($task, RowMapper::today($task->user, Clock::now()))]);

        return back()->with('status', __('task.template_kept', ['title' => $name]));
    }

    /** A new task from a template, its dates counted from a day. */
    public function use(Request $request, Template $template, #[CurrentUser] User $user): RedirectResponse
    {
        $data = $request->validate(['day' => ['nullable', 'date_format:Y-m-d', 'before:2200-01-01']], ['day.*' => __('task.unknown_date')]);
        $day = isset($data['day']) ? LocalDay::fromString((string) $data['day']) : RowMapper::today($user, Clock::now());
        $task = $this->make($user, $template->pattern, $day);

        return redirect("/tasks/{$task->id}")->with(['status' => __('task.made', ['title' => $task->title]), 'undo' => true]);
    }

    public function destroy(Template $template): RedirectResponse
    {
        $template->delete();

        return back()->with('status', __('task.template_gone', ['title' => $template->name]));
    }

    public function duplicate(Task $task, #[CurrentUser] User $user): RedirectResponse
    {
        $today = RowMapper::today($user, Clock::now());
        $copy = $this->make($user, Pattern::of($task, $today), $today);

        return redirect("/tasks/{$copy->id}")->with(['status' => __('task.made', ['title' => $copy->title]), 'undo' => true]);
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
        $made = DB::transaction(static function () use ($task, $rule, $daysOff, $now): ?Repeat {
            $task->repeat()->update(['ended_at' => $now]);

            return (new StartRepeat)($task, $rule->rule, $rule->afterDone, $now, $daysOff);
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
            $current === null && $last !== null && DB::transaction(static fn () => (new NextOccurrence)($last));
        } elseif ($what === 'end') {
            $repeat->update(['ended_at' => $now]);
        }

        return back()->with('status', __('task.repeat_changed.'.(in_array($what, ['pattern', 'pause', 'go_on', 'end'], true) ? $what : 'pattern')));
    }

    /** @param  array<string, mixed>  $pattern */
    private function make(User $user, array $pattern, LocalDay $day): Task
    {
        $made = null;
        $this->journal->record($user, RevisionCause::Caught, Clock::now(), static function () use ($user, $pattern, $day, &$made): array {
            $made = Pattern::make($user, $pattern, $day, ['source' => 'template']);

            return [];
        });

        return $made ?? throw new \LogicException('A pattern makes a task.');
    }
}
