<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Planning\PlanConflict;
use App\Planning\Replan;
use App\Rows\Blocks;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** Sends a block to another day. */
final readonly class SendBlock
{
    public function __construct(private Replan $replan, private FreePlace $places) {}

    /**
     * Work with a single block is picked for that day, and planning chooses the hour; one of several blocks is anchored
     * in the first stretch of the day where nothing is fixed, for the others must stay.
     *
     * @throws PlanConflict if the day has passed or is too far, or has no stretch long enough
     */
    public function __invoke(Block $block, LocalDay $day, CarbonImmutable $now): ?PlanRevision
    {
        $user = $block->user;
        $task = $block->task;
        $span = Zones::named($user->zone)->day($day);
        if ($span->end <= RowMapper::minute($now)) {
            throw PlanConflict::passed();
        }
        if ($span->end > RowMapper::minute($now->addDays((int) config('nekto.horizon_days')))) {
            throw PlanConflict::beyondPlan((int) config('nekto.horizon_days'));
        }
        if ($task->blocks()->where('state', BlockState::Planned)->whereKeyNot($block->id)->doesntExist()) {
            return ($this->replan)($user, $now, RevisionCause::Sent, first: static function () use ($block, $task, $day): void {
                $block->delete();
                $task->update(Picks::columns($task, $day));
            });
        }
        $fixed = Blocks::during($user, $span)->fixed($now)->whereKeyNot($block->id)->get();
        $length = RowMapper::time($block)->length();
        $start = $this->places->first($user, $task->hoursSet(), $day, $length, $now, $fixed) ?? throw PlanConflict::noTime($task->title);

        return ($this->replan)($user, $now, RevisionCause::Sent, first: static function () use ($block, $start, $length): void {
            $block->update(['starts_at' => $start, 'ends_at' => $start->addMinutes($length), 'anchored' => true, 'kept' => false, 'reserve_id' => null]);
        });
    }
}
