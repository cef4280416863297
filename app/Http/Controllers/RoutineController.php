<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\RoutineEdit;
use App\Http\Requests\OtherDayRequest;
use App\Http\Requests\RoutineRequest;
use App\Http\RuleChange;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\Routine;
use App\Models\User;
use App\Planning\Replan;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Time reserved every week, and what of it is otherwise on one day. */
final readonly class RoutineController
{
    public function __construct(private RuleChange $change, private Replan $replan, private Said $said, #[CurrentUser] private User $user) {}

    public function store(RoutineRequest $request): RedirectResponse
    {
        $columns = $request->columns();

        return ($this->change)($request, fn () => $this->user->routines()->create($columns), __('settings.routine.made', ['title' => $columns['title']]), '/settings/rules#routines', __('settings.routine.ask', ['title' => $columns['title']]));
    }

    public function update(RoutineRequest $request, Routine $routine): RedirectResponse
    {
        return ($this->change)($request, static fn () => $routine->update($request->columns()), __('meetings.saved', ['title' => $routine->title]), "/settings/rules#routine-{$routine->id}");
    }

    public function destroy(Request $request, Routine $routine): RedirectResponse
    {
        return ($this->change)($request, static fn () => $routine->delete(), __('settings.routine.gone', ['title' => $routine->title]), '/settings/rules#routines');
    }

    /** Moves it on one day, drops it there, ticks a part of it, or has it as usual again. */
    public function day(OtherDayRequest $request, Routine $routine, string $date): RedirectResponse
    {
        abort_unless(checkdate((int) substr($date, 5, 2), (int) substr($date, 8, 2), (int) substr($date, 0, 4)), 404);
        $what = $request->input('what');
        if ($what === 'tick') {
            RoutineEdit::tick($routine, $date, $request->integer('part'));

            return back()->with('status', __('settings.routine.ticked'));
        }
        [$at, $minutes] = $what === null ? $request->time() : [null, null];

        return $this->answer(static fn () => RoutineEdit::day($routine, $date, ['dropped' => $what === 'drop', 'at' => $at, 'minutes' => $minutes] + ($what === 'usual' ? ['ticked' => null] : [])), __($what === 'drop' ? 'settings.routine.not_today' : 'settings.routine.moved', ['title' => $routine->title]));
    }

    public function lunch(OtherDayRequest $request, string $date): RedirectResponse
    {
        abort_unless(checkdate((int) substr($date, 5, 2), (int) substr($date, 8, 2), (int) substr($date, 0, 4)), 404);
        $what = $request->input('what');
        [$at, $minutes] = $what === null ? $request->time() : [0, 0];
        $time = match ($what) {
            'drop' => null,
            'usual' => [(int) $this->user->lunch_from, (int) $this->user->lunch_to],
            default => [$at, $at + $minutes],
        };

        return $this->answer(fn () => RoutineEdit::lunch($this->user, $date, $time), __($what === 'drop' ? 'settings.routine.no_lunch' : 'settings.routine.lunch_moved'));
    }

    /** @param  \Closure(): mixed  $change */
    private function answer(\Closure $change, string $said): RedirectResponse
    {
        $revision = $this->replan->after($this->user, Clock::now(), static function () use ($change): void {
            $change();
        }, RevisionCause::Reserved);

        return back()->with($this->said->about($revision instanceof PlanRevision ? $revision : null, $said));
    }
}
