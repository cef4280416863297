<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Block;
use App\Models\Occurrence;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use App\Planning\FixedTime;
use App\Planning\PlanConflict;
use App\Planning\Replan;
use App\Rows\RowMapper;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;

/** Moves several blocks by hand, all by as many days and minutes of the wall clock: one change, or none. */
final readonly class MoveTogether
{
    public function __construct(private Replan $replan) {}

    /**
     * @param  Collection<int, Block>  $blocks  planned ones
     *
     * @throws PlanConflict if one of them cannot go there; then none has moved
     */
    public function __invoke(User $user, Collection $blocks, int $days, int $minutes, CarbonImmutable $now): ?PlanRevision
    {
        $zone = Zones::named($user->zone);
        $meetings = [];
        $revision = ($this->replan)($user, $now, RevisionCause::Moved, first: static function () use ($user, $blocks, $days, $minutes, $now, $zone, &$meetings): void {
            foreach ($blocks as $block) {
                $start = RowMapper::start($block);
                $to = Moments::moment($zone->at($zone->dayOf($start)->plusDays($days), $zone->minuteOfDay($start)) + $minutes); // also past midnight: what stood side by side does so there
                $end = $to->addMinutes(RowMapper::time($block)->length());
                FixedTime::ensureFree($user, $to, $end, $now, $blocks->modelKeys());
                $block->update(['starts_at' => $to, 'ends_at' => $end, 'anchored' => true, 'put_back' => false, 'reserve_id' => null]);
                array_push($meetings, ...FixedTime::meetings($user, $to, $end));
            }
        });

        return $revision?->lyingOn(collect($meetings)->unique(static fn (Occurrence $one): int => $one->id)->values()->all());
    }
}
