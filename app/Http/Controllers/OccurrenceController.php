<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catch\CaughtLine;
use App\Catch\KeepLine;
use App\Http\Requests\LinesRequest;
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
use Illuminate\Http\Request;

/** A meeting at its time: its link, the note that stays with it, and what was decided. */
final readonly class OccurrenceController
{
    public function show(Occurrence $occurrence, #[CurrentUser] User $user): View
    {
        return view('screens.meeting', ['meeting' => MeetingScreen::of($user, $occurrence)]);
    }

    public function note(Request $request, Occurrence $occurrence, #[CurrentUser] User $user, Journal $journal, Said $said): RedirectResponse
    {
        $text = trim((string) $request->validate(['note' => ['nullable', 'string', 'max:20000']])['note']);
        $revision = $journal->record($user, RevisionCause::Changed, Clock::now(), static function () use ($user, $occurrence, $text): array {
            $place = ['meeting_id' => $occurrence->meeting_id, 'starts_at' => $occurrence->starts_at];
            $text === '' ? $user->meetingNotes()->where($place)->delete() : $user->meetingNotes()->updateOrCreate($place, ['text' => $text]);

            return [];
        });

        return back()->with($said->about($revision, __('meetings.note_kept')));
    }

    /** What was decided becomes tasks, one a line, understood as everywhere. */
    public function decided(LinesRequest $request, Occurrence $occurrence, #[CurrentUser] User $user, Journal $journal): RedirectResponse
    {
        $now = Clock::now();
        $items = $request->items();
        $journal->record($user, RevisionCause::Caught, $now, static function () use ($user, $now, $items, $occurrence): array {
            $keep = new KeepLine($user, $now, new CaughtLine($user, $now));
            foreach ($items as $item) {
                $keep($item, [], ['source' => 'meeting', 'note' => $occurrence->summary]);
            }

            return [];
        });

        return back()->with(['status' => trans_choice('meetings.decided', count($items)), 'undo' => true]);
    }
}
