<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Planning\FixedTime;
use App\Planning\PlanConflict;
use App\Planning\Replan;
use App\Rows\Blocks;
use App\Rows\Picks;
use App\Rows\RowMapper;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Nekto\Core\Time\Grid;
use Nekto\Core\Time\LocalDay;

/** What a person does to a block by hand. Each is one revision, and the rest of the plan makes way at once. */
final readonly class BlockEdit
{
    public function __construct(private Replan $replan, private TaskDoor $door) {}

    /**
     * Fixes a block at a time. One that is longer than the work left makes that more.
     *
     * @throws PlanConflict if that time has passed, is too far away or belongs to another fixed block
     */
    public function move(Block $block, CarbonImmutable $start, CarbonImmutable $end, CarbonImmutable $now, RevisionCause $cause = RevisionCause::Moved): ?PlanRevision
    {
        return ($this->replan)($block->user, $now, $cause, first: function () use ($block, $start, $end, $now): void {
            Unchanged::ensure($block);
            FixedTime::ensureFree($block->user, $start, $end, $now, [$block->id], begun: $block->starts_at < $now && $start->equalTo($block->starts_at));
            $block->update(['starts_at' => $start, 'ends_at' => $end, 'anchored' => true, 'put_back' => false, 'reserve_id' => null]);
            $this->growToFit($block->task, $now);
        })?->lyingOn(FixedTime::meetings($block->user, $start, $end));
    }

    /**
     * Fixes a new block for a task, as when it is taken from the bank. Its work planned latest gives way: where all of it
     * is fixed already, the last of its blocks moves there.
     *
     * @throws PlanConflict as move(), or if the task has no work to plan
     */
    public function place(Task $task, CarbonImmutable $start, CarbonImmutable $now): ?PlanRevision
    {
        if (! $task->isPlannable()) {
            throw PlanConflict::notPlannable();
        }
        $minutes = self::minutesToPlace($task, $now);
        if ($minutes === 0) {
            $last = self::fixed($task, $now)->last() ?? throw PlanConflict::notPlannable();

            return $this->move($last->setRelation('user', $task->user)->setRelation('task', $task), $start, $start->addMinutes(RowMapper::time($last)->length()), $now, RevisionCause::Placed);
        }

        return ($this->replan)($task->user, $now, RevisionCause::Placed, first: function () use ($task, $start, $minutes, $now): void {
            FixedTime::ensureFree($task->user, $start, $start->addMinutes($minutes), $now);
            $task->not_before > $start && $this->door->change($task, ['not_before' => null], $now); // it had been put off, and is wanted after all
            $block = $task->blocks()->make(['starts_at' => $start, 'ends_at' => $start->addMinutes($minutes), 'anchored' => true]);
            $block->user_id = $task->user_id;
            $block->save();
        })?->lyingOn(FixedTime::meetings($task->user, $start, $start->addMinutes($minutes)));
    }

    /** How long a block for it would be: its work that is not fixed yet, as far as one block may hold it; 0 if all is. */
    public static function minutesToPlace(Task $task, CarbonImmutable $now): int
    {
        return max(0, Grid::up(min($task->minutesToPlan($now) - self::minutesFixed($task, $now), $task->max_chunk)));
    }

    /** Minutes left of it that fixed blocks stand for. */
    private static function minutesFixed(Task $task, CarbonImmutable $now): int
    {
        $fixed = self::fixed($task, $now);
        $worked = Blocks::workedIn($task->user, $fixed->toBase(), $now);

        return (int) $fixed->sum(static fn (Block $block): int => RowMapper::time($block)->length() - ($worked[$block->id] ?? 0));
    }

    /** @return Collection<int, Block> by start */
    private static function fixed(Task $task, CarbonImmutable $now): Collection
    {
        return $task->blocks()->fixed($now)->orderBy('starts_at')->get();
    }

    /** On that day's list, with or without a time of its own: planning finds one if there is one. */
    public function pick(Task $task, LocalDay $day, CarbonImmutable $now): ?PlanRevision
    {
        return ($this->replan)($task->user, $now, RevisionCause::Picked, first: function () use ($task, $day, $now): void {
            $this->door->change($task, Picks::columns($task, $day), $now);
        });
    }

    /** Gives a fixed block back to planning, which may move it from now on. */
    public function release(Block $block, CarbonImmutable $now): ?PlanRevision
    {
        return ($this->replan)($block->user, $now, RevisionCause::Released, first: static function () use ($block): void {
            Unchanged::ensure($block);
            $block->update(['anchored' => false, 'put_back' => false, 'reserve_id' => null]);
        });
    }

    /**
     * The task is finished: what was worked stays as it was, the time still planned for it is free again.
     *
     * @param  CarbonImmutable|null  $said  when it was pressed, if that was before it came
     */
    public function done(Block $block, CarbonImmutable $now, ?CarbonImmutable $said = null): ?PlanRevision
    {
        $at = DoneAt::of($block->task, $said, $now);

        return ($this->replan)($block->user, $now, RevisionCause::Done, first: function () use ($block, $at): void {
            Unchanged::ensure($block);
            $this->close($block, BlockState::Done, $at);
            $this->door->change($block->task, ['done_at' => $at], $at);
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
            Unchanged::ensure($block);
            $this->close($block, BlockState::Part, $now);
            $this->door->change($block->task, ['left' => $left], $now);
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
        $running = $user->entries()->whereNull('ends_at')->first();
        $last = $user->entries()->whereNotNull('ends_at')->where('ends_at', '<=', $now)->max('ends_at');
        $from = $last === null ? $block->starts_at : max($block->starts_at, CarbonImmutable::parse($last, 'UTC'));
        $end = min($now, $block->ends_at);
        $until = $running === null ? $end : min($end, $running->starts_at); // what else the clock runs for is not its time
        if ($running !== null && $running->task_id === $block->task_id) {
            $running->update(['ends_at' => max($now, $running->starts_at->addMinute())]);
        } elseif ($until > $from) {
            $user->entries()->create(['task_id' => $block->task_id, 'block_id' => $block->id, 'starts_at' => $from, 'ends_at' => $until]);
        }
        $block->update(['state' => $state, 'ends_at' => $end, 'put_back' => false]);
    }

    private function growToFit(Task $task, CarbonImmutable $now): void
    {
        $more = self::minutesFixed($task, $now) - $task->minutesToPlan($now);
        $more > 0 && $this->door->change($task, ['estimate' => (int) $task->estimate + $more], $now);
    }
}
