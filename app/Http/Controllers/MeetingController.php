<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\ICalendar\UnreadableCalendar;
use App\Meetings\TakeCalendar;
use App\Meetings\TakeEvents;
use App\Models\CalendarImport;
use App\Models\Meeting;
use App\Models\Occurrence;
use App\Models\RevisionCause;
use App\Models\User;
use App\Planning\Replan;
use App\Rows\RowMapper;
use App\Time\Clock;
use App\Time\Zones;
use App\Undo\Journal;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Meetings and the calendar files they come from. */
final readonly class MeetingController
{
    private const SHOWN_DAYS = 14;

    public function index(Request $request, #[CurrentUser] User $user): View
    {
        $now = Clock::now();
        $today = RowMapper::today($user, $now);
        $zone = Zones::named($user->zone);
        $coming = $user->occurrences()->with('meeting')
            ->where('ends_at', '>', RowMapper::moment($zone->at($today, 0)))
            ->where('starts_at', '<', RowMapper::moment($zone->at($today->plusDays(self::SHOWN_DAYS), 0)))
            ->orderBy('starts_at')->orderBy('id')->limit(200)->get();

        return view('screens.meetings', [
            'user' => $user,
            'now' => $now,
            'days' => $coming->groupBy(fn ($one): string => $user->local($one->starts_at)->format('Y-m-d')),
            'refused' => $request->query('refused') === 'too_large' ? __('meetings.too_large', ['megabytes' => config('nekto.upload_megabytes')]) : null,
            'imports' => $user->calendarImports()->latest('id')->limit(5)->get(),
        ]);
    }

    public function store(Request $request, #[CurrentUser] User $user, TakeCalendar $take): RedirectResponse
    {
        $megabytes = (int) config('nekto.upload_megabytes');
        $request->validate(['calendar' => ['required', 'file', "max:{$megabytes}000"]], [
            'calendar.required' => __('meetings.choose_a_file'),
            'calendar.max' => __('meetings.too_large', ['megabytes' => $megabytes]),
            'calendar.uploaded' => __('meetings.too_large', ['megabytes' => $megabytes]),
        ]);
        try {
            $import = $take($user, $request->file('calendar'), Clock::now());
        } catch (UnreadableCalendar $error) {
            return back()->withErrors(['calendar' => $error->getMessage()]);
        }

        return redirect("/meetings/imports/{$import->id}");
    }

    public function show(CalendarImport $import): View
    {
        return view('screens.import', ['import' => $import]);
    }

    /** Takes the next events in; the page presses on until all are. */
    public function step(CalendarImport $import, TakeEvents $take): RedirectResponse
    {
        $take->step($import, Clock::now());

        return redirect("/meetings/imports/{$import->id}");
    }

    /** Takes a meeting out of planning or back in, and says how long it takes to get there. */
    public function update(Request $request, Meeting $meeting, #[CurrentUser] User $user, Replan $replan, Said $said): RedirectResponse
    {
        $columns = $request->validate([
            'ignored' => ['sometimes', 'boolean'],
            'lead_minutes' => ['sometimes', 'nullable', 'integer', 'between:0,480'],
        ], ['lead_minutes.between' => __('meetings.lead'), 'lead_minutes.integer' => __('meetings.lead')]);
        $revision = $replan->after($user, Clock::now(), static function () use ($meeting, $columns): void {
            $meeting->update($columns);
        });

        return back()->with($said->about($revision, __('meetings.saved', ['title' => $meeting->summary])));
    }

    /** Makes a meeting a task: what must be ready before it, or what follows from it. */
    public function task(Request $request, Occurrence $occurrence, #[CurrentUser] User $user, Journal $journal): RedirectResponse
    {
        $after = $request->input('when') === 'after';
        $title = mb_substr(__($after ? 'meetings.follow_up' : 'meetings.prepare', ['title' => $occurrence->summary]), 0, 200);
        $journal->record($user, RevisionCause::Caught, Clock::now(), static function () use ($user, $occurrence, $after, $title): array {
            $user->tasks()->create([
                'area_id' => $user->areas()->firstOrFail()->id, 'title' => $title, 'source' => 'meeting', 'note' => $occurrence->summary.($occurrence->place === null ? '' : ", {$occurrence->place}"),
                'due_at' => $after ? null : $occurrence->starts_at, 'not_before' => $after ? $occurrence->ends_at : null,
            ]);

            return [];
        });

        return back()->with(['status' => __('task.made_task', ['title' => $title]), 'undo' => true]);
    }
}
