<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clock\Timer;
use App\Http\AskedDay;
use App\Http\Requests\CloseDayRequest;
use App\Models\User;
use App\Screens\Close\CloseScreen;
use App\Time\Clock;
use App\Time\Moments;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Time\LocalDay;

/** The end of a day, and opening it again. */
final readonly class CloseController
{
    public function show(Request $request, #[CurrentUser] User $user, CloseScreen $screen, ?string $date = null): View
    {
        return view('screens.close', $screen->of($user, $this->day($user, $date), Clock::now(), $request->input('by') === 'area'));
    }

    /** Keeps the lines and reasons, and closes the day with its account as it is; the clock stops. */
    public function store(CloseDayRequest $request, #[CurrentUser] User $user, Timer $timer, CloseScreen $screen): RedirectResponse
    {
        $day = $this->day($user, $request->string('date')->toString());
        $now = Clock::now();
        $closes = $request->boolean('close');
        $closes && $timer->pause($user, $now);
        DB::transaction(static function () use ($user, $request, $screen, $day, $now, $closes): void {
            $own = $user->closedDays()->firstOrNew(['date' => $day->asString()]);
            $own->fill($request->columns());
            if ($closes) {
                $own->fill(['closed_at' => null])->save(); // so that its account is set up as the day is now
                $own->fill(['closed_at' => $now, 'account' => $screen->account($user, $day, $now)->toKeep()]);
            }
            $own->save();
        });

        return redirect("/close/{$day->asString()}")->with('status', __($closes ? 'work.closed' : 'work.lines_kept'));
    }

    public function open(Request $request, #[CurrentUser] User $user): RedirectResponse
    {
        $day = $this->day($user, $request->string('date')->toString());
        $user->closedDays()->where('date', $day->asString())->update(['closed_at' => null]);

        return redirect("/close/{$day->asString()}")->with('status', __('work.opened_again'));
    }

    private function day(User $user, ?string $date): LocalDay
    {
        $today = Moments::today($user, Clock::now());
        $day = AskedDay::of($user, $date === '' ? null : $date, Clock::now());

        return $day->number > $today->number ? $today : $day;
    }
}
