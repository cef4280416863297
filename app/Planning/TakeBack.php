<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\RevisionCause;
use App\Models\User;
use App\Undo\Journal;
use App\Undo\Undone;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Undo: takes a change back, and where others came after it, lets the plan follow. */
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
        return DB::transaction(function () use ($user, $revision, $now): ?Undone {
            $undone = $this->journal->undo($user, $revision, $now);
            $undone === null || Prospects::forget($user);
            $undone === null || $undone->isExact() || $this->replan->after($user->refresh(), $now, static fn () => null, RevisionCause::Undone);

            return $undone;
        });
    }
}
