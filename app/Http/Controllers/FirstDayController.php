<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Sample;
use App\Edits\Destination;
use App\Edits\FirstStep;
use App\Edits\Sort;
use App\Models\User;
use App\Screens\FirstDay\FirstDayScreen;
use App\Time\Clock;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** The first day of an account: five steps from nothing to a day that is laid out. */
final readonly class FirstDayController
{
    public function show(Request $request, #[CurrentUser] User $user, FirstDayScreen $screen): View|RedirectResponse
    {
        if ($user->first_day === null) {
            return redirect('/shape');
        }
        $first = $user->blocks()->orderBy('starts_at')->first();
        if ($first !== null) {
            $user->update(['first_day' => null]);
            $request->session()->reflash();
            $day = $user->local($first->starts_at);

            return redirect($day->isSameDay($user->local(Clock::now())) ? '/shape' : '/shape/'.$day->format('Y-m-d')); // who begins on a Sunday sees Monday
        }

        return view('screens.first-day', $screen->page($request->enum('step', FirstStep::class)));
    }

    /** A step is done, left out, or taken up again; or all of it is. */
    public function step(Request $request, #[CurrentUser] User $user, Sort $sort): RedirectResponse
    {
        $step = $request->enum('step', FirstStep::class);
        $how = $request->input('how');
        if ($how === 'over') {
            $user->update(['first_day' => null]);

            return redirect('/shape')->with('status', __('first.over'));
        }
        if ($step === null || ! in_array($how, ['done', 'left', 'again'], true)) {
            return redirect('/first-day');
        }
        if ($step === FirstStep::Gather && $how === 'done') { // what was caught goes on to be weighed
            $sort($user, $user->tasks()->inbox()->get()->toBase(), Destination::Weigh, [], null, Clock::now());
        }
        $user->update(['first_day' => $how === 'again' ? array_diff_key($user->first_day ?? [], [$step->value => true]) : [$step->value => $how] + ($user->first_day ?? [])]);

        return redirect('/first-day'.($how === 'again' ? "?step={$step->value}" : ''));
    }

    public function sample(Request $request, #[CurrentUser] User $user, Sample $sample): RedirectResponse
    {
        if ($user->sample_of !== null) {
            return redirect('/shape');
        }
        $sample->begin($user, $request->session());

        return redirect('/shape')->with('status', __('first.sample'));
    }

    public function endSample(Request $request, #[CurrentUser] User $user, Sample $sample): RedirectResponse
    {
        if ($user->sample_of === null) {
            return redirect('/shape');
        }

        return redirect($sample->end($user, $request->session()) ? '/first-day' : '/sign-in');
    }
}
