<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catch\CaughtLine;
use App\Catch\KeepLines;
use App\Http\Requests\AnswerRequest;
use App\Http\Requests\LinesRequest;
use App\Http\Requests\NoteRequest;
use App\Meetings\AnswerMeeting;
use App\Models\Occurrence;
use App\Models\RevisionCause;
use App\Models\User;
use App\Screens\Work\MeetingScreen;
use App\Time\Clock;
use App\Undo\Journal;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** A meeting at its time: its link, the note that stays with it, and what was decided. */
final readonly class OccurrenceController
{
    public function show(Occurrence $occurrence, #[CurrentUser] User $user): View
    {
        return view('screens.meeting', ['meeting' => MeetingScreen::of($user, $occurrence)]);
    }

    /** Going, perhaps, or not: it counts at once, and the organizer is written to. */
    public function answer(AnswerRequest $request, Occurrence $occurrence, #[CurrentUser] User $user, AnswerMeeting $answers, Said $said): RedirectResponse
    {
        if (! $occurrence->meeting->isAsked()) {
            return back()->with('status', __('meetings.not_asked'));
        }
        $revision = $answers($user, $occurrence, $request->answer(), $request->boolean('whole'), Clock::now());

        return back()->with($said->about($revision, __('meetings.answered', ['answer' => __("meetings.reply.{$request->answer()->value}"), 'title' => $occurrence->summary])));
    }

    public function note(NoteRequest $request, Occurrence $occurrence, #[CurrentUser] User $user, Journal $journal, Said $said): RedirectResponse
    {
        $text = $request->note();
        $revision = $journal->record($user, RevisionCause::Changed, Clock::now(), static function () use ($user, $occurrence, $text): void {
            $place = ['meeting_id' => $occurrence->meeting_id, 'starts_at' => $occurrence->starts_at];
            $text === '' ? $user->meetingNotes()->where($place)->delete() : $user->meetingNotes()->updateOrCreate($place, ['text' => $text]);
        });

        return back()->with($said->about($revision, __('meetings.note_kept')));
    }

    /** What was decided becomes tasks, one a line, understood as everywhere. */
    public function decided(LinesRequest $request, Occurrence $occurrence, #[CurrentUser] User $user, Journal $journal, KeepLines $keep, Said $said): RedirectResponse
    {
        $now = Clock::now();
        $items = $request->items();
        $revision = $journal->record($user, RevisionCause::Caught, $now, static function () use ($user, $now, $keep, $items, $occurrence): void {
            $keep($user, new CaughtLine($user, $now), $items, [], $now, ['source' => 'meeting', 'note' => $occurrence->summary]);
        });

        return back()->with($said->about($revision, trans_choice('meetings.decided', count($items))));
    }
}
