<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use App\Rows\WorkTime;
use App\Rows\WorkTimeLoader;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Time\Interval;

/** Places work again whose time has passed undone, or whose place a meeting has taken, without anyone pressing anything. */
final readonly class Mend
{
    public function __construct(private Replan $replan, private WorkTimeLoader $times) {}

    /**
     * Null if nothing had to move, or if the person wants to be asked first.
     *
     * @param  WorkTime|null  $time  from today on for as long as work is laid out, if it is at hand
     */
    public function __invoke(User $user, CarbonImmutable $now, ?WorkTime $time = null): ?PlanRevision
    {
        if ($user->mend_asks || ! $this->isNeeded($user, $now, $time)) {
            return null;
        }

        // Looked at once more when it is our turn: the worker and a request may have come at the same moment.
        return DB::transaction(fn (): ?PlanRevision => $this->isNeeded($user, $now)
            ? ($this->replan)($user, $now, RevisionCause::Mended, first: static fn () => Overrun::extend($user, $now))
            : null);
    }

    /** @phpstan-impure another process may have mended the plan meanwhile */
    public function isNeeded(User $user, CarbonImmutable $now, ?WorkTime $time = null): bool
    {
        return $user->blocks()->passed($now)->exists() || $this->liesUnderMeeting($user, $now, $time);
    }

    /** True where a block that planning may move lies on time that is busy now. Both are walked once. */
    private function liesUnderMeeting(User $user, CarbonImmutable $now, ?WorkTime $time): bool
    {
        $blocks = $user->blocks()->planned()->where('anchored', false)->where('put_back', false)->where('starts_at', '>', $now)
            ->orderBy('starts_at')->toBase()->get(['starts_at', 'ends_at']);
        if ($blocks->isEmpty()) {
            return false;
        }
        $time ??= $this->times->load($user, Moments::today($user, $now), (int) config('nekto.horizon_days') + 1);
        $busy = $time->busy()->intervals;
        $next = 0;
        foreach ($blocks as $block) {
            $time = new Interval(Moments::stored($block->starts_at), Moments::stored($block->ends_at));
            while (isset($busy[$next]) && $busy[$next]->end <= $time->start) {
                $next++;
            }
            if (isset($busy[$next]) && $busy[$next]->start < $time->end) {
                return true;
            }
        }

        return false;
    }
}
