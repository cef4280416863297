<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\Change;
use App\Edits\ChangeKind;
use App\Edits\EndDay;
use App\Edits\MakeChange;
use App\Http\Requests\ChangeRequest;
use App\Http\Requests\PickRequest;
use App\Models\Task;
use App\Models\User;
use App\Planning\TakeBack;
use App\Rows\Blocks;
use App\Rows\Picks;
use App\Time\Clock;
use App\Time\Moments;
use App\Time\Zones;
use App\Wording\Said;
use App\Wording\UndoneNote;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nekto\Core\Time\LocalDay;

/** The plan as a whole. */
final readonly class PlanController
{
    public function layOut(#[CurrentUser] User $user, MakeChange $make, Said $said): RedirectResponse
    {
        if ($user->tasks()->plannable()->doesntExist()) {
            return back()->with('status', __('plan.nothing_to_lay_out'));
        }

        $now = Clock::now();

        return back()->with($said->about($make($user, Moments::today($user, $now), new Change(ChangeKind::LayOut), $now)));
    }

    /** Takes a change that was shown before, whole or in part. */
    public function change(ChangeRequest $request, #[CurrentUser] User $user, MakeChange $make, Said $said): RedirectResponse
    {
        $revision = $make($user, $request->day(), $request->change(), Clock::now());

        return redirect("/shape/{$request->day()->asString()}")->with($said->about($revision));
    }

    /** Takes a proposed day, whole or in part: what is chosen is picked for it and laid out there. */
    public function pick(PickRequest $request, #[CurrentUser] User $user, MakeChange $make, Said $said): RedirectResponse
    {
        $now = Clock::now();
        $day = LocalDay::fromString($request->day());
        $revision = $make($user, $day, new Change(ChangeKind::Picks, $request->picks(), $request->keys()), $now);
        $without = (new Picks($user, Moments::today($user, $now)))->withoutTime($day, Blocks::during($user, Zones::named($user->zone)->day($day))->get()->toBase(), $now)->whereIn('id', $request->picks());
        $picked = trans_choice('shape.picked', count($request->picks()) - $without->count());
        $words = $said->about($revision, $without->isEmpty() ? $picked : $picked.' '.trans_choice('shape.picked_no_time', $without->count(), ['titles' => $without->map(static fn (Task $task): string => "“{$task->title}”")->implode(', ')]));
        if ($request->boolean('morning')) {
            $user->update(['morning_on' => Moments::today($user, $now)->asString()]);
        }

        return redirect("/shape/{$request->day()}".($request->boolean('morning') ? '?morning=done' : ''))->with($words);
    }

    /** The day ends here: what is left of it is laid out elsewhere. */
    public function end(#[CurrentUser] User $user, EndDay $end, Said $said): RedirectResponse
    {
        return back()->with($said->about($end($user, Clock::now())));
    }

    public function goOn(#[CurrentUser] User $user, EndDay $end, Said $said): RedirectResponse
    {
        return back()->with($said->about($end->takeBack($user, Clock::now()), __('work.goes_on')));
    }

    /** Takes the change back that the page offered; what was changed once more since is said to stay. */
    public function undo(Request $request, #[CurrentUser] User $user, TakeBack $take): RedirectResponse
    {
        $undone = $take($user, $request->integer('revision') ?: null, Clock::now());
        if ($undone === null) {
            return back()->with('status', __($request->filled('revision') ? 'plan.undone_already' : 'plan.nothing_to_undo'));
        }

        return back()->with(['status' => (new UndoneNote($user, Clock::now()))->of($undone), 'redo' => $undone->revision->id]);
    }

    /** Takes the undo back that the page offered, or the last one. */
    public function redo(Request $request, #[CurrentUser] User $user, TakeBack $take): RedirectResponse
    {
        $done = $take->again($user, $request->integer('revision') ?: null, Clock::now());
        if ($done === null) {
            return back()->with('status', __('plan.nothing_to_redo'));
        }

        return back()->with(['status' => (new UndoneNote($user, Clock::now()))->again($done), 'undo' => true, 'revision' => $done->revision->id]);
    }

    /** The change note was read. */
    public function seen(#[CurrentUser] User $user): RedirectResponse
    {
        $user->planRevisions()->whereNull('seen_at')->update(['seen_at' => Clock::now()]);

        return back();
    }
}
