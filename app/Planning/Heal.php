<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\BlockState;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Places work again whose time has passed undone, or whose place a meeting has taken, without anyone pressing anything. */
final readonly class Heal
{
    public function __construct(private Replan $replan) {}

    /** Null if nothing had to move. */
    public function __invoke(User $user, CarbonImmutable $now): ?PlanRevision
    {
        if (! $this->isNeeded($user, $now)) {
            return null;
        }

        return ($this->replan)($user, $now, RevisionCause::Healed);
    }

    private function isNeeded(User $user, CarbonImmutable $now): bool
    {
        $blocks = fn () => DB::table('blocks')->where('blocks.user_id', $user->id)
            ->where('blocks.state', BlockState::Planned->value)->where('blocks.kept', false);

        return $blocks()->where('ends_at', '<=', $now->toDateTimeString())->exists()
            || $blocks()->where('blocks.anchored', false)->where('blocks.starts_at', '>', $now->toDateTimeString())
                ->join('occurrences', fn ($join) => $join->on('occurrences.user_id', 'blocks.user_id')
                    ->whereColumn('occurrences.starts_at', '<', 'blocks.ends_at')->whereColumn('occurrences.ends_at', '>', 'blocks.starts_at'))
                ->join('meetings', 'meetings.id', 'occurrences.meeting_id')
                ->where('occurrences.busy', true)->where('meetings.ignored', false)->exists();
    }
}
