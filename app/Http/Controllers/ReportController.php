<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\AskedDay;
use App\Http\Requests\LetterRequest;
use App\Http\Requests\ReportRequest;
use App\Models\Report;
use App\Models\RevisionCause;
use App\Models\User;
use App\Post\PostMail;
use App\Report\WriteReport;
use App\Time\Clock;
use App\Undo\Journal;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** What is told to others, ready to be changed before it goes. */
final readonly class ReportController
{
    /** Of one account. */
    private const MOST = 50;

    public function __construct(private Journal $journal, private Said $said) {}

    public function index(#[CurrentUser] User $user): View
    {
        return view('screens.reports', ['reports' => $user->reports()->with('project')->get(), 'projects' => $user->projects()->whereNull('done_at')->get(['id', 'name']), 'private' => ['areas' => $user->areas()->where('private', true)->pluck('name')->all(), 'contexts' => $user->contexts()->where('private', true)->pluck('name')->all()]]);
    }

    public function show(Request $request, Report $report, #[CurrentUser] User $user, WriteReport $write): View
    {
        $now = Clock::now();
        $date = $request->query('date');
        $day = AskedDay::of($user, is_string($date) ? $date : null, $now);
        $plain = $request->query('as') === 'plain';
        $text = $write($user, $report->load('project'), $day, $now);

        return view('screens.report', ['report' => $report, 'day' => $day, 'plain' => $plain, 'text' => $plain ? $text->plain() : $text->markdown(), 'subject' => $text->title, 'hidden' => $text->hidden, 'projects' => $user->projects()->whereNull('done_at')->get(['id', 'name'])]);
    }

    public function store(ReportRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        if ($user->reports()->count() >= self::MOST) {
            return back()->withInput()->withErrors(['name' => __('report.too_many', ['most' => self::MOST])]);
        }
        $columns = $request->columns();
        $revision = $this->journal->record($user, RevisionCause::Report, Clock::now(), static fn () => $user->reports()->create($columns + ['position' => (int) $user->reports()->max('position') + 1]));

        return redirect('/reports')->with($this->said->about($revision, __('report.made', ['name' => $columns['name']])));
    }

    public function update(ReportRequest $request, Report $report, #[CurrentUser] User $user): RedirectResponse
    {
        $revision = $this->journal->record($user, RevisionCause::Report, Clock::now(), static fn () => $report->update($request->columns()));

        return redirect("/reports/{$report->id}")->with($this->said->about($revision, __('report.made', ['name' => $report->name])));
    }

    public function destroy(Report $report, #[CurrentUser] User $user): RedirectResponse
    {
        $revision = $this->journal->record($user, RevisionCause::Report, Clock::now(), static fn () => $report->delete());

        return redirect('/reports')->with($this->said->about($revision, __('report.gone', ['name' => $report->name])));
    }

    /** Into the outbox, as it was changed. */
    public function send(LetterRequest $request, Report $report, #[CurrentUser] User $user, PostMail $post): RedirectResponse
    {
        $post->letter($user, $request->string('to')->toString(), $request->string('subject')->toString(), $request->string('body')->toString(), Clock::now());

        return redirect("/reports/{$report->id}")->with('status', __('whatif.sent'));
    }
}
