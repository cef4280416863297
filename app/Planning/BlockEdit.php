<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\Task;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** What a person does to a block by hand. Each is one revision, and the rest of the plan makes way at once. */
final readonly class BlockEdit
{
    public function __construct(private Replan $replan) {}

    /**
     * Fixes a block at a time. One that is longer than the work left makes that more.
     *
     * @throws PlanConflict if that time has passed, is too far away or belongs to another fixed block
     */
    public function move(Block $block, CarbonImmutable $start, CarbonImmutable $end, CarbonImmutable $now, RevisionCause $cause = RevisionCause::Moved): ?PlanRevision
    {
        FixedTime::ensureFree($block->user, $start, $end, $now, [$block->id], begun: $block->starts_at < $now && $start->equalTo($block->starts_at));

        return ($this->replan)($block->user, $now, $cause, first: function () use ($block, $start, $end): void {
            $block->update(['starts_at' => $start, 'ends_at' => $end, 'anchored' => true, 'kept' => false, 'reserve_id' => null]);
            $this->growToFit($block->task);
        });
    }

    /**
     * Fixes a new block for a task, as when it is taken from the bank. Its work planned latest gives way.
     *
     * @throws PlanConflict as move(), or if the task has no work to plan
     */
    public function place(Task $task, CarbonImmutable $start, CarbonImmutable $now): ?PlanRevision
    {
        if (! $task->hasWorkToPlan()) {
            throw PlanConflict::notPlannable();
        }
        $step = (int) config('nekto.step');
        $minutes = intdiv(min((int) $task->minutes_left, $task->max_chunk) + $step - 1, $step) * $step;
        FixedTime::ensureFree($task->user, $start, $start->addMinutes($minutes), $now);

        return ($this->replan)($task->user, $now, RevisionCause::Placed, first: static function () use ($task, $start, $minutes): void {
            $task->not_before > $start && $task->update(['not_before' => null]); // it had been put off, and is wanted after all
            $block = $task->blocks()->make(['starts_at' => $start, 'ends_at' => $start->addMinutes($minutes), 'anchored' => true]);
            $block->user_id = $task->user_id;
            $block->save();
        });
    }

    /** On that day's list, with or without a time of its own: planning finds one if there is one. */
    public function pick(Task $task, LocalDay $day, CarbonImmutable $now): ?PlanRevision
    {
        $end = RowMapper::moment(Zones::named($task->user->zone)->day($day)->end);

        return ($this->replan)($task->user, $now, RevisionCause::Picked, first: static function () use ($task, $day, $end): void {
            $task->update(['picked_on' => $day->asString(), ...($task->not_before >= $end ? ['not_before' => null] : [])]);
        });
    }

    /** Gives a fixed block back to planning, which may move it from now on. */
    public function release(Block $block, CarbonImmutable $now): ?PlanRevision
    {
        return ($this->replan)($block->user, $now, RevisionCause::Released, first: function () use ($block): void {
            $block->update(['anchored' => false, 'kept' => false, 'reserve_id' => null]);
        });
    }

    /** The task is finished: what was worked stays as it was, the time still planned for it is free again. */
    public function done(Block $block, CarbonImmutable $now): ?PlanRevision
    {
        return ($this->replan)($block->user, $now, RevisionCause::Done, first: function () use ($block, $now): void {
            $this->close($block, BlockState::Done, $now);
            $block->task->update(['done_at' => $now, 'minutes_left' => 0]);
        });
    }

    /**
     * The block is over, the task is not.
     *
     * @param  int  $left  minutes, at least 1
     */
    public function partDone(Block $block, int $left, CarbonImmutable $now): ?PlanRevision
    {
        return ($this->replan)($block->user, $now, RevisionCause::PartDone, first: function () use ($block, $left, $now): void {
            $this->close($block, BlockState::Part, $now);
            $block->task->update(['minutes_left' => $left]);
        });
    }

    /** A block that has begun ends now, with its time as it was spent; one that has not is taken away. */
    private function close(Block $block, BlockState $state, CarbonImmutable $now): void
    {
        if ($block->starts_at >= $now) {
            $block->delete();

            return;
        }
        $user = $block->user;
        $running = $user->entries()->where('block_id', $block->id)->whereNull('ends_at')->first();
        $last = $user->entries()->whereNotNull('ends_at')->where('ends_at', '<=', $now)->max('ends_at');
        $from = $last === null ? $block->starts_at : max($block->starts_at, CarbonImmutable::parse($last, 'UTC'));
        $end = min($now, $block->ends_at);
        if ($running !== null) {
            $running->update(['ends_at' => max($now, $running->starts_at->addMinute())]);
        } elseif ($end > $from) {
            $user->entries()->create(['task_id' => $block->task_id, 'block_id' => $block->id, 'starts_at' => $from, 'ends_at' => $end]);
        }
        $block->update(['state' => $state, 'ends_at' => $end, 'kept' => false]);
    }

    private function growToFit(Task $task): void
    {
        $fixed = $task->blocks()->where('state', BlockState::Planned)->where('anchored', true)->get()
            ->sum(static fn (Block $block): int => RowMapper::time($block)->length());
        if ($fixed > (int) $task->minutes_left) {
            $task->update(['minutes_left' => $fixed, 'estimate' => max((int) $task->estimate, $fixed)]);
        }
    }
}
