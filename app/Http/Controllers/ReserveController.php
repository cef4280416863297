<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\Reserves;
use App\Http\Requests\ReserveRequest;
use App\Models\Reserve;
use App\Models\User;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Time kept free by hand, and the batches made of it. */
final readonly class ReserveController
{
    public function __construct(private Reserves $reserves, private Said $said) {}

    public function store(ReserveRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        [$start, $end] = $request->times();
        $revision = $this->reserves->add($user, $request->title(), $start, $end, Clock::now());

        return back()->with($this->said->about($revision));
    }

    public function update(ReserveRequest $request, Reserve $reserve): RedirectResponse
    {
        [$start, $end] = $request->times($reserve);
        $revision = $this->reserves->move($reserve, $start, $end, Clock::now());

        return back()->with($this->said->about($revision));
    }

    public function destroy(Reserve $reserve): RedirectResponse
    {
        return redirect('/shape/'.$reserve->user->local($reserve->starts_at)->format('Y-m-d'))->with($this->said->about($this->reserves->remove($reserve, Clock::now()), __('shape.reserve_gone')));
    }

    /** Drops a small task on it. */
    public function put(Request $request, Reserve $reserve, #[CurrentUser] User $user): RedirectResponse
    {
        $task = $user->tasks()->findOrFail($request->integer('task'));
        $revision = $this->reserves->put($reserve, $task, Clock::now());

        return back()->with($this->said->about($revision));
    }
}
