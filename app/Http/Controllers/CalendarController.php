<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Calendars\Calendars;
use App\Calendars\FetchCalendar;
use App\Calendars\WriteToKeeper;
use App\Http\Requests\CalendarEditRequest;
use App\Http\Requests\FollowRequest;
use App\Models\Calendar;
use App\Models\CalendarKind;
use App\Models\User;
use App\Planning\Replan;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;

/** Calendars: followed, kept here, fetched, changed, removed. */
final readonly class CalendarController
{
    public function show(Calendar $calendar, #[CurrentUser] User $user): View
    {
        return view('screens.calendar', [
            'calendar' => $calendar,
            'entries' => $calendar->meetings()->whereNull('gone_at')->count(),
            'groups' => $user->calendarGroups()->get(),
            'areas' => $user->areas()->get(),
            'last' => $user->intakes()->where('kind', 'calendar')->where('calendar_id', $calendar->id)->latest('id')->first(),
        ]);
    }

    public function follow(FollowRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        Calendars::follow($user, $request->address(), Clock::now());

        return redirect($user->first_day === null ? '/meetings' : '/first-day?step=calendar')->with('status', __('calendars.followed'));
    }

    public function update(CalendarEditRequest $request, Calendar $calendar, #[CurrentUser] User $user, Replan $replan, Said $said): RedirectResponse
    {
        $address = $calendar->kind === CalendarKind::Address && $request->address()?->url !== $calendar->address ? $request->address() : null;
        $revision = $replan->after($user, Clock::now(), static function () use ($calendar, $request): void {
            $calendar->update($request->columns());
        });
        if ($address !== null) {
            Calendars::move($calendar, $address, Clock::now());

            return back()->with($said->about($revision, __('calendars.fetching')));
        }

        return back()->with($said->about($revision, __('calendars.saved', ['name' => $calendar->name])));
    }

    /** Its meetings are planned around no more; undo brings all of it back. */
    public function destroy(Calendar $calendar, #[CurrentUser] User $user, Replan $replan, Said $said): RedirectResponse
    {
        $now = Clock::now();
        $revision = $replan->after($user, $now, static function () use ($calendar, $now): void {
            $calendar->update(['removed_at' => $now]);
        });

        return redirect('/meetings')->with($said->about($revision, __('calendars.removed', ['name' => $calendar->name])));
    }

    public function fetch(Calendar $calendar): RedirectResponse
    {
        $calendar->kind === CalendarKind::Address && FetchCalendar::ask(new Collection([$calendar]), Clock::now());

        return back()->with('status', __($calendar->kind === CalendarKind::Address ? 'calendars.fetching' : 'calendars.none_to_fetch'));
    }

    public function fetchAll(#[CurrentUser] User $user): RedirectResponse
    {
        $followed = $user->calendars()->kept()->where('kind', CalendarKind::Address)->get(['id', 'user_id']);
        FetchCalendar::ask($followed, Clock::now());

        return back()->with('status', $followed->isEmpty() ? __('calendars.none_to_fetch') : trans_choice('calendars.fetching_all', $followed->count()));
    }

    /** A letter to whoever calls most of its meetings, into the outbox. */
    public function keeper(Calendar $calendar, #[CurrentUser] User $user, WriteToKeeper $write): RedirectResponse
    {
        $mail = $write($user, $calendar, Clock::now());

        return redirect("/outbox/{$mail->id}")->with('status', __($mail->to === $user->email ? 'calendars.keeper.written' : 'calendars.keeper.sent', ['to' => $mail->to]));
    }
}
