<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clock;
use App\Models\RevisionCause;
use App\Models\User;
use App\Planning\PlanJournal;
use App\Planning\Replan;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** The plan as a whole. */
final readonly class PlanController
{
    public function layOut(#[CurrentUser] User $user, Replan $replan, Said $said): RedirectResponse
    {
        if ($user->tasks()->plannable()->doesntExist()) {
            return back()->with('status', __('plan.nothing_to_lay_out'));
        }

        return back()->with($said->about($replan($user, Clock::now(), RevisionCause::LaidOut, afresh: true)));
    }

    public function undo(#[CurrentUser] User $user, PlanJournal $journal): RedirectResponse
    {
        $undone = $journal->undo($user, Clock::now());

        return back()->with('status', $undone === null ? __('plan.nothing_to_undo') : __("plan.undone.{$undone->cause->value}"));
    }

    /** The change note was read. */
    public function seen(#[CurrentUser] User $user): RedirectResponse
    {
        $user->planRevisions()->whereNull('seen_at')->update(['seen_at' => Clock::now()]);

        return back();
    }
}
