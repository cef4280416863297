<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\GroupRequest;
use App\Models\CalendarGroup;
use App\Models\RevisionCause;
use App\Models\User;
use App\Time\Clock;
use App\Undo\Journal;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** Groups of calendars and areas: what is shown and hidden as one. */
final readonly class CalendarGroupController
{
    public function __construct(private Journal $journal, private Said $said) {}

    public function store(GroupRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $name = $request->string('name')->toString();
        $revision = $this->journal->record($user, RevisionCause::Changed, Clock::now(), static fn () => $user->calendarGroups()->create(['name' => $name, 'position' => 1 + (int) $user->calendarGroups()->max('position')]));

        return back()->with($this->said->about($revision, __('calendars.group_saved', ['name' => $name])));
    }

    public function update(GroupRequest $request, CalendarGroup $group, #[CurrentUser] User $user): RedirectResponse
    {
        $revision = $this->journal->record($user, RevisionCause::Changed, Clock::now(), static function () use ($request, $group, $user): void {
            $request->has('name') && $group->update(['name' => $request->string('name')->toString()]);
            $request->has('shown') && $group->calendars()->update(['shown' => $request->boolean('shown')]);
            $calendars = $request->calendars();
            if ($calendars !== null) {
                $user->calendars()->where('group_id', $group->id)->whereKeyNot($calendars)->update(['group_id' => null]);
                $user->calendars()->whereKey($calendars)->update(['group_id' => $group->id]);
            }
            $areas = $request->areas();
            if ($areas !== null) {
                $user->areas()->where('group_id', $group->id)->whereKeyNot($areas)->update(['group_id' => null]);
                $user->areas()->whereKey($areas)->update(['group_id' => $group->id]);
            }
        });

        return back()->with($this->said->about($revision, __('calendars.group_saved', ['name' => $group->name])));
    }

    public function destroy(CalendarGroup $group, #[CurrentUser] User $user): RedirectResponse
    {
        $revision = $this->journal->record($user, RevisionCause::Changed, Clock::now(), static function () use ($group): void {
            $group->calendars()->update(['group_id' => null]);
            $group->areas()->update(['group_id' => null]);
            $group->delete();
        });

        return back()->with($this->said->about($revision, __('calendars.group_removed')));
    }
}
