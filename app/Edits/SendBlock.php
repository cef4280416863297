<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Block;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Planning\PlanConflict;
use App\Planning\Replan;
use App\Rows\Blocks;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** Sends a block to another day. */
final readonly class SendBlock
{
    public function __construct(private Replan $replan, private FreePlace $places, private TaskDoor $door) {}

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
        if ($span->end <= Moments::minute($now)) {
            throw PlanConflict::passed();
        }
        if ($span->end > Moments::minute($now->addDays((int) config('nekto.horizon_days')))) {
            throw PlanConflict::beyondPlan((int) config('nekto.horizon_days'));
        }

        return ($this->replan)($user, $now, RevisionCause::Sent, first: function () use ($user, $block, $task, $day, $span, $now): void {
            Unchanged::ensure($block);
            if ($task->blocks()->planned()->whereKeyNot($block->id)->doesntExist()) {
                $block->delete();
                $this->door->change($task, Picks::columns($task, $day), $now);

                return;
            }
            $fixed = Blocks::during($user, $span)->fixed($now)->whereKeyNot($block->id)->get();
            $length = RowMapper::time($block)->length();
            $start = $this->places->first($user, $task->hoursSet(), $day, $length, $now, $fixed) ?? throw PlanConflict::noTime($task->title);
            $block->update(['starts_at' => $start, 'ends_at' => $start->addMinutes($length), 'anchored' => true, 'put_back' => false, 'reserve_id' => null]);
        });
    }
}
