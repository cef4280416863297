<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Calendars\Calendars;
use App\Edits\NewTasks;
use App\Edits\TaskDraft;
use App\Http\Requests\CalendarRequest;
use App\Http\Requests\MeetingRequest;
use App\ICalendar\CalendarSplitter;
use App\Intake\Intakes;
use App\Meetings\TakeMessage;
use App\Models\Intake;
use App\Models\Meeting;
use App\Models\Occurrence;
use App\Models\RevisionCause;
use App\Models\User;
use App\Planning\Replan;
use App\Screens\Meetings\MeetingsScreen;
use App\Time\Clock;
use App\Undo\Journal;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Meetings and the calendar files they come from. */
final readonly class MeetingController
{
    public function index(Request $request, #[CurrentUser] User $user, MeetingsScreen $screen): View
    {
        return view('screens.meetings', [
            'page' => $screen->page($request->integer('row') ?: null),
            'refused' => $request->query('refused') === 'too_large' ? __('meetings.too_large', ['megabytes' => config('nekto.upload_megabytes')]) : null,
            'imports' => $user->intakes()->where('kind', 'calendar')->where(static fn ($rows) => $rows->underWay()->orWhereNotNull('why')->orWhereRaw('added + changed + gone + failed > 0'))->latest('id')->limit(3)->get(),
        ]);
    }

    public function store(CalendarRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $file = $request->calendar();
        $text = (string) $file->getContent();
        $into = $request->into($user);
        $refused = match (true) {
            ! CalendarSplitter::isCalendar($text) => __('meetings.not_a_calendar'),
            $into === null && stripos($text, 'BEGIN:VEVENT') === false => __('meetings.no_events'),
            $into === null && Calendars::isFull($user) && ! TakeMessage::isOne($text) => __('calendars.too_many', ['count' => Calendars::MOST]),
            Intakes::isFull($user) => __('files.too_many', ['count' => Intakes::MOST]),
            default => null,
        };
        if ($refused !== null) {
            return back()->withErrors(['calendar' => $refused]);
        }
        $name = mb_scrub($file->getClientOriginalName());
        $now = Clock::now();
        $import = TakeMessage::isOne($text) ? Intakes::begin($user, 'message', $name, $text) : Calendars::take($into ?? Calendars::ofFile($user, $name, $now), $name, $text, $now);

        return redirect($user->first_day === null ? "/meetings/imports/{$import->id}" : '/first-day?step=calendar');
    }

    /** A meeting at its next time, or at its last. */
    public function at(Meeting $meeting): RedirectResponse
    {
        $time = $meeting->occurrences()->where('ends_at', '>', Clock::now())->orderBy('starts_at')->first() ?? $meeting->occurrences()->orderByDesc('starts_at')->first();

        return redirect($time === null ? '/meetings' : "/occurrences/{$time->id}");
    }

    /** How far a file has come, of whatever kind; the page looks again by itself. */
    public function show(Intake $import): View
    {
        return view('screens.import', ['import' => $import]);
    }

    /** Takes a meeting out of planning or back in, and says how long it takes to get there. */
    public function update(MeetingRequest $request, Meeting $meeting, #[CurrentUser] User $user, Replan $replan, Said $said): RedirectResponse
    {
        $revision = $replan->after($user, Clock::now(), static function () use ($meeting, $request): void {
            $meeting->update($request->columns());
        });

        return back()->with($said->about($revision, __('meetings.saved', ['title' => $meeting->summary])));
    }

    /** Makes a meeting a task: what must be ready before it, or what follows from it. */
    public function task(Request $request, Occurrence $occurrence, #[CurrentUser] User $user, Journal $journal, NewTasks $births, Said $said): RedirectResponse
    {
        $after = $request->input('when') === 'after';
        $title = mb_substr(__($after ? 'meetings.follow_up' : 'meetings.prepare', ['title' => $occurrence->summary]), 0, 200);
        $revision = $journal->record($user, RevisionCause::Caught, Clock::now(), static fn () => $births->one($user, new TaskDraft([
            'title' => $title, 'source' => 'meeting', 'note' => $occurrence->summary.($occurrence->place === null ? '' : ", {$occurrence->place}"),
            'due_at' => $after ? null : $occurrence->starts_at, 'not_before' => $after ? $occurrence->ends_at : null,
        ], links: [['address' => "/occurrences/{$occurrence->id}#".($after ? 'after' : 'before'), 'title' => $occurrence->summary]]), Clock::now()));

        return back()->with($said->about($revision, __('task.made_task', ['title' => $title])));
    }
}
