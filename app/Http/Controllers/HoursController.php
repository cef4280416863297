<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\DayHoursRequest;
use App\Http\Requests\WeekHoursRequest;
use App\Models\HoursException;
use App\Models\HoursSet;
use App\Models\User;
use App\Planning\Replan;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** A set of hours, week by week and by date. */
final readonly class HoursController
{
    public function __construct(private Replan $replan, private Said $said, #[CurrentUser] private User $user) {}

    public function update(WeekHoursRequest $request, HoursSet $set): RedirectResponse
    {
        return $this->answer(static fn () => $set->update(['week' => $request->week()]), __('settings.hours_saved', ['name' => $set->name]));
    }

    /** The hours in which deep work goes best. */
    public function updateBest(WeekHoursRequest $request): RedirectResponse
    {
        return $this->answer(fn () => $this->user->update(['best_hours' => $request->week()]), __('settings.best_saved'), 'best-hours');
    }

    public function storeException(DayHoursRequest $request, HoursSet $set): RedirectResponse
    {
        $date = ['date' => $request->string('date')->toString()];

        return $this->answer(static fn () => $set->exceptions()->updateOrCreate($date, ['stretches' => $request->stretches()]), __('settings.date_saved'));
    }

    public function destroyException(HoursSet $set, HoursException $exception): RedirectResponse
    {
        return $this->answer(static fn () => $exception->delete(), __('settings.date_removed', ['date' => $exception->date]));
    }

    /** @param  \Closure(): mixed  $change */
    private function answer(\Closure $change, string $said, string $at = 'hours'): RedirectResponse
    {
        $revision = $this->replan->after($this->user, Clock::now(), static function () use ($change): void {
            $change();
        });

        return redirect("/settings#{$at}")->with($this->said->about($revision, $said));
    }
}
