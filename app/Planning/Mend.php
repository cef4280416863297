<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\BlockState;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Places work again whose time has passed undone, or whose place a meeting has taken, without anyone pressing anything. */
final readonly class Mend
{
    public function __construct(private Replan $replan) {}

    /** Null if nothing had to move, or if the person wants to be asked first. */
    public function __invoke(User $user, CarbonImmutable $now): ?PlanRevision
    {
        if ($user->heal_asks || ! $this->isNeeded($user, $now)) {
            return null;
        }

        // Looked at once more when it is our turn: the worker and a request may have come at the same moment.
        return DB::transaction(fn (): ?PlanRevision => $this->isNeeded($user, $now)
            ? ($this->replan)($user, $now, RevisionCause::Healed, first: static fn () => Overrun::extend($user, $now))
            : null);
    }

    /** @phpstan-impure another process may have mended the plan meanwhile */
    public function isNeeded(User $user, CarbonImmutable $now): bool
    {
        $planned = DB::table('blocks')->where('user_id', $user->id)->where('state', BlockState::Planned->value)->where('kept', false);

        return (clone $planned)->where('ends_at', '<=', $now->toDateTimeString())->exists()
            || $this->liesUnderMeeting($user, $planned->where('anchored', false)->where('starts_at', '>', $now->toDateTimeString()), $now);
    }

    /** Both lists are walked once: a join would compare every block with every meeting. */
    private function liesUnderMeeting(User $user, Builder $movable, CarbonImmutable $now): bool
    {
        $blocks = $movable->orderBy('starts_at')->get(['starts_at', 'ends_at'])->all();
        $until = $now->addDays((int) config('nekto.horizon_days') + 1)->toDateTimeString();
        $meetings = DB::table('occurrences')->join('meetings', 'meetings.id', 'occurrences.meeting_id')
            ->where('occurrences.user_id', $user->id)->where('occurrences.busy', true)->where('meetings.ignored', false)
            ->where('occurrences.starts_at', '<', $until)->where('occurrences.ends_at', '>', $now->toDateTimeString())
            ->orderBy('occurrences.starts_at')->get(['occurrences.starts_at', 'occurrences.ends_at'])->all();
        foreach ($meetings as $meeting) {
            while ($blocks !== [] && $blocks[0]->ends_at <= $meeting->starts_at) {
                array_shift($blocks);
            }
            foreach ($blocks as $block) {
                if ($block->starts_at >= $meeting->ends_at) {
                    break;
                }
                if ($meeting->ends_at > $meeting->starts_at) {
                    return true;
                }
            }
        }

        return false;
    }
}
