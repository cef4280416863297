<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Calendars\Holidays;
use App\Edits\HoursEdit;
use App\Http\Requests\DayHoursRequest;
use App\Http\Requests\HolidaysRequest;
use App\Http\Requests\HoursSetRequest;
use App\Http\Requests\WeekHoursRequest;
use App\Http\RuleChange;
use App\ICalendar\UnreadableCalendar;
use App\Models\HoursException;
use App\Models\HoursSet;
use App\Models\User;
use App\Time\Clock;
use App\Time\Moments;
use App\Wording\HoursWords;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nekto\Core\Time\LocalDay;

/** Sets of hours: week by week, by date, and as sets. */
final readonly class HoursController
{
    public function __construct(private RuleChange $change, #[CurrentUser] private User $user, private HoursWords $words) {}

    public function update(WeekHoursRequest $request, HoursSet $set): RedirectResponse
    {
        $week = $request->week();
        $yield = $request->boolean('yield', true);
        $yielding = $yield ? HoursEdit::yielding($this->user, $set, $week) : [];

        return ($this->change)($request, fn () => HoursEdit::week($this->user, $set, $week, $yield), __('settings.hours_saved', ['name' => $set->name]), $this->page($set), $this->words->change($set->week, $week), also: $this->words->yielding($yielding), as: [$week, $yield]);
    }

    /** The hours in which deep work goes best. */
    public function updateBest(WeekHoursRequest $request): RedirectResponse
    {
        $week = $request->week();

        return ($this->change)($request, fn () => $this->user->update(['best_hours' => $week]), __('settings.best_saved'), '/settings?set=best', $this->words->change($this->user->best_hours ?? [], $week), as: $week);
    }

    public function store(HoursSetRequest $request): RedirectResponse
    {
        $said = __('settings.set_made', ['name' => $request->name()]);

        return ($this->change)($request, fn () => HoursEdit::make($this->user, $request->name(), $request->like()), $said, '/settings?set=new');
    }

    public function rename(HoursSetRequest $request, HoursSet $set): RedirectResponse
    {
        return ($this->change)($request, static fn () => $set->update(['name' => $request->name()]), __('settings.set_renamed', ['name' => $request->name()]), $this->page($set));
    }

    /** What was done in it goes on in another. */
    public function destroy(Request $request, HoursSet $set): RedirectResponse
    {
        $to = $this->user->hoursSets()->whereKeyNot($set->id)->find($request->integer('to'));
        if ($to === null) {
            return redirect($this->page($set))->withErrors(['to' => __($this->user->hoursSets()->count() < 2 ? 'settings.only_set' : 'settings.where_to')]);
        }

        return ($this->change)($request, fn () => HoursEdit::remove($this->user, $set, $to), __('settings.set_gone', ['name' => $set->name, 'to' => $to->name]), $this->page($request->boolean('try') ? $set : $to), __('settings.remove_set', ['name' => $set->name]), also: $this->words->moving($set, $to));
    }

    public function storeDates(DayHoursRequest $request, HoursSet $set): RedirectResponse
    {
        $line = $request->line();

        return ($this->change)($request, fn () => HoursEdit::dates($this->user, $set, $line), $this->words->line($line), $this->page($set).'#dates', $this->words->line($line).'?', $line->first);
    }

    public function destroyDate(Request $request, HoursSet $set, HoursException $exception): RedirectResponse
    {
        $day = LocalDay::fromString($exception->date);

        return ($this->change)($request, fn () => HoursEdit::usual($this->user, $exception), __('settings.date_removed', ['date' => $this->words->day($day)]), $this->page($set).'#dates', from: $day);
    }

    /** Closes the whole days of a calendar file. */
    public function holidays(HolidaysRequest $request, HoursSet $set): RedirectResponse
    {
        $today = Moments::today($this->user, Clock::now());
        try {
            $holidays = Holidays::read($request->text(), $today);
        } catch (UnreadableCalendar $error) {
            return redirect($this->page($set).'#dates')->withErrors(['holidays' => $error->getMessage()]);
        }
        $held = $set->exceptions()->pluck('date')->flip()->all();
        $new = array_diff_key($holidays->days, $held); // a date with hours of its own keeps them
        $refused = match (true) {
            $holidays->days === [] => trans_choice('settings.holidays.none', $holidays->timed + count($holidays->problems)),
            ! HoursEdit::hasRoom($set, count($new)) => __('settings.too_many_dates', ['count' => HoursEdit::MOST_DATES]),
            default => null,
        };
        if ($refused !== null) {
            return redirect($this->page($set).'#dates')->withErrors(['holidays' => $refused]);
        }
        $everywhere = $request->boolean('everywhere');
        $said = $this->words->holidays(count($new), count($holidays->days) - count($new), $holidays->timed, $holidays->problems);

        return ($this->change)($request, fn () => HoursEdit::close($this->user, $set, $holidays->days, $everywhere), $said, $this->page($set).'#dates');
    }

    private function page(HoursSet $set): string
    {
        return "/settings?set={$set->id}";
    }
}
