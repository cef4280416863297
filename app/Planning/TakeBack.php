<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\RevisionCause;
use App\Models\User;
use App\Undo\Journal;
use App\Undo\Undone;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Undo and redo: takes a change back, or its undo, and where others came after it, lets the plan follow. */
final readonly class TakeBack
{
    public function __construct(private Journal $journal, private Replan $replan) {}

    /**
     * Null if there is nothing to take back.
     *
     * @param  int|null  $revision  the one that was offered; null: the newest
     */
    public function __invoke(User $user, ?int $revision, CarbonImmutable $now): ?Undone
    {
        return $this->followed($user, $now, fn (): ?Undone => $this->journal->undo($user, $revision, $now));
    }

    /**
     * Null if nothing was undone, or the person has changed something since.
     *
     * @param  int|null  $revision  the one whose undo was offered; null: the one that was undone last
     */
    public function again(User $user, ?int $revision, CarbonImmutable $now): ?Undone
    {
        return $this->followed($user, $now, fn (): ?Undone => $this->journal->redo($user, $revision, $now));
    }

    /** @param  \Closure(): ?Undone  $take */
    private function followed(User $user, CarbonImmutable $now, \Closure $take): ?Undone
    {
        return DB::transaction(function () use ($user, $now, $take): ?Undone {
            $taken = $take();
            $taken === null || Prospects::forget($user);
            $taken === null || $taken->isExact() || $this->replan->after($user->refresh(), $now, static fn () => null, RevisionCause::Undone);

            return $taken;
        });
    }
}
