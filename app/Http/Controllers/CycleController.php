<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Goals\CycleEdit;
use App\Http\Requests\CycleRequest;
use App\Models\Cycle;
use App\Models\Goal;
use App\Models\User;
use App\Screens\Goals\CycleAccount;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** The weeks that goals are set for. */
final readonly class CycleController
{
    public function __construct(private CycleEdit $edit, private Said $said) {}

    public function store(CycleRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        if (CycleEdit::present($user) !== null) {
            return redirect('/goals')->withErrors(['weeks' => __('goals.there_is_one')]);
        }
        $revision = $this->edit->begin($user, $request->from(), $request->integer('weeks', CycleEdit::WEEKS), $request->filled('vision') ? $request->string('vision')->toString() : null, Clock::now());

        return redirect('/goals')->with($this->said->about($revision, __('goals.cycle_begun')));
    }

    public function update(CycleRequest $request, Cycle $cycle, #[CurrentUser] User $user): RedirectResponse
    {
        $revision = $this->edit->change($user, $cycle, $request->columns(), Clock::now());

        return redirect('/goals')->with($this->said->about($revision, __('goals.cycle_kept')));
    }

    /** Its account: of a closed one as it was, of the present one as it would be. */
    public function show(Cycle $cycle, #[CurrentUser] User $user, CycleAccount $account): View
    {
        return view('screens.cycle', ['cycle' => $cycle, 'account' => $cycle->account ?? $account->of($user, $cycle, Clock::now())]);
    }

    /** With its account, and what the next one takes over. */
    public function close(Request $request, Cycle $cycle, #[CurrentUser] User $user, CycleAccount $account): RedirectResponse
    {
        if ($cycle->closed_at !== null) {
            return redirect("/cycles/{$cycle->id}");
        }
        $carry = array_values(array_intersect($cycle->goals()->get()->map(static fn (Goal $goal): int => $goal->id)->all(), array_map(intval(...), $request->array('goals'))));
        $revision = $this->edit->close($user, $cycle, $account->of($user, $cycle, Clock::now()), $carry, Clock::now());

        return redirect('/goals')->with($this->said->about($revision, __('goals.cycle_closed')));
    }
}
