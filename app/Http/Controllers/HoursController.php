<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clock;
use App\Http\Requests\DayHoursRequest;
use App\Http\Requests\WeekHoursRequest;
use App\Models\HoursException;
use App\Models\HoursSet;
use App\Models\RevisionCause;
use App\Models\User;
use App\Planning\Replan;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** A set of hours, week by week and by date. */
final readonly class HoursController
{
    public function __construct(private Replan $replan, private Said $said, #[CurrentUser] private User $user) {}

    public function update(WeekHoursRequest $request, HoursSet $set): RedirectResponse
    {
        $set->update(['week' => $request->week()]);

        return $this->answer(__('settings.hours_saved', ['name' => $set->name]));
    }

    public function storeException(DayHoursRequest $request, HoursSet $set): RedirectResponse
    {
        $set->exceptions()->updateOrCreate(['date' => $request->string('date')->toString()], ['stretches' => $request->stretches()]);

        return $this->answer(__('settings.date_saved'));
    }

    public function destroyException(HoursSet $set, HoursException $exception): RedirectResponse
    {
        $exception->delete();

        return $this->answer(__('settings.date_removed', ['date' => $exception->date]));
    }

    private function answer(string $said): RedirectResponse
    {
        $revision = $this->replan->isUnderway($this->user) ? ($this->replan)($this->user, Clock::now(), RevisionCause::Changed) : null;

        return redirect('/settings#hours')->with($this->said->about($revision, $said));
    }
}
