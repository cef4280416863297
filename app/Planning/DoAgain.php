<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\RevisionCause;
use App\Models\User;
use App\Undo\Journal;
use App\Undo\Undone;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Redo: takes an undo back, and where something came after it, lets the plan follow. */
final readonly class DoAgain
{
    public function __construct(private Journal $journal, private Replan $replan) {}

    /**
     * Null if nothing was undone that nothing has followed.
     *
     * @param  int|null  $revision  the one that was offered; null: the one that was undone last
     */
    public function __invoke(User $user, ?int $revision, CarbonImmutable $now): ?Undone
    {
        return DB::transaction(function () use ($user, $revision, $now): ?Undone {
            $again = $this->journal->redo($user, $revision);
            $again === null || Prospects::forget($user);
            $again === null || $again->isExact() || $this->replan->after($user->refresh(), $now, static fn () => null, RevisionCause::Undone);

            return $again;
        });
    }
}
