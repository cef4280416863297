<?php

declare(strict_types=1);

namespace App\Clock;

use App\Edits\StopClock;
use App\Edits\TaskDoor;
use App\Edits\Unchanged;
use App\Models\Block;
use App\Models\BlockState;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Planning\FixedTime;
use App\Planning\PlanConflict;
use App\Planning\Replan;
use App\Rows\RunningClock;
use App\Time\GridMoments;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * What is being worked on. The clock is a row on the server: it runs on through reloads, closed windows and sleep, and
 * there is one for all windows of an account.
 */
final readonly class Timer
{
    public function __construct(private Replan $replan, private TaskDoor $door) {}

    /**
     * Goes over to a task; what was going on ends. Asked twice, it goes on as it is. A block of later today begins now,
     * and the rest of the day moves up. Null if nothing of the plan moved.
     *
     * @param  CarbonImmutable|null  $said  when it was pressed, if that was before it came
     */
    public function start(User $user, Task $task, ?Block $block, CarbonImmutable $now, ?CarbonImmutable $said = null): ?PlanRevision
    {
        $at = $said === null || $said >= $now ? $now : self::notBefore($user, $said);
        if (self::isOn($user, $task)) {
            return null;
        }
        $begin = static function () use ($user, $task, $block, $at): void {
            if (self::isOn($user, $task)) { // another window was first
                return;
            }
            StopClock::of($user, $at);
            $user->entries()->create(['task_id' => $task->id, 'block_id' => $block?->id, 'starts_at' => $at]);
        };
        $end = $block === null ? null : $this->endIfBegunNow($user, $block, $now);
        if ($block === null || $end === null) {
            return $this->switch($user, $now, RevisionCause::Minutes, $begin);
        }

        return ($this->replan)($user, $now, RevisionCause::Begun, first: static function () use ($block, $begin, $end, $now): void {
            $begin();
            $block->update(['starts_at' => GridMoments::last($now), 'ends_at' => $end, 'put_back' => false]);
        });
    }

    private static function isOn(User $user, Task $task): bool
    {
        $running = RunningClock::of($user);

        return $running !== null && $running->task_id === $task->id && ! $running->break;
    }

    /** When a block of later today would end if it began now: before the next meeting or anchored block; null if it cannot. */
    private function endIfBegunNow(User $user, Block $block, CarbonImmutable $now): ?CarbonImmutable
    {
        if (! $block->isPlanned() || $block->starts_at <= $now || ! $user->local($block->starts_at)->isSameDay($user->local($now))) {
            return null;
        }
        $start = GridMoments::last($now);
        $end = $start->addMinutes((int) $block->starts_at->diffInMinutes($block->ends_at));
        $meeting = $user->occurrences()->interrupting()->where('starts_at', '<', $end)->where('ends_at', '>', $now)->min('starts_at');
        $fixed = $user->blocks()->fixed($now)->whereKeyNot($block->id)
            ->where('starts_at', '<', $end)->where('ends_at', '>', $start)->min('starts_at');
        foreach (array_filter([$meeting, $fixed]) as $moment) {
            $end = min($end, CarbonImmutable::parse((string) $moment, 'UTC'));
        }

        return $end > $now->addMinutes(5) ? $end : null;
    }

    /** @param  CarbonImmutable|null  $said  when it was pressed, if that was before it came */
    public function rest(User $user, CarbonImmutable $now, ?CarbonImmutable $said = null): ?PlanRevision
    {
        $at = self::notBefore($user, $said ?? $now);

        return $this->switch($user, $now, RevisionCause::Minutes, static function () use ($user, $at): void {
            if (RunningClock::of($user)?->break !== true) {
                StopClock::of($user, $at);
                $user->entries()->create(['starts_at' => $at, 'break' => true]);
            }
        });
    }

    /**
     * Null if nothing of the plan had to follow.
     *
     * @param  CarbonImmutable|null  $said  when it was pressed, if that was before it came; a clock that was begun since runs on
     */
    public function pause(User $user, CarbonImmutable $now, ?CarbonImmutable $said = null): ?PlanRevision
    {
        $said ??= $now;
        if ($said < $now && $user->entries()->whereNull('ends_at')->where('starts_at', '>', $said)->exists()) {
            return null;
        }

        return $this->switch($user, $now, RevisionCause::Minutes, static fn () => StopClock::of($user, $said));
    }

    /** What was done since elsewhere stands: no entry begins within another. */
    private static function notBefore(User $user, CarbonImmutable $said): CarbonImmutable
    {
        $last = $user->entries()->max(DB::raw('max(starts_at, coalesce(ends_at, starts_at))'));

        return $last === null ? $said : max($said, CarbonImmutable::parse((string) $last, 'UTC'));
    }

    /**
     * Changes what the clock runs for. Where more work of what stops is laid out for later, there is less of that now: the
     * plan follows.
     *
     * @param  \Closure(): void  $change
     */
    private function switch(User $user, CarbonImmutable $now, RevisionCause $cause, \Closure $change): ?PlanRevision
    {
        $running = RunningClock::of($user);
        if ($running?->task_id !== null && $user->blocks()->planned()->where('task_id', $running->task_id)->where('starts_at', '>', $now)->exists()) {
            return ($this->replan)($user, $now, $cause, first: $change);
        }
        DB::transaction($change);

        return null;
    }

    /**
     * More time for a block that is on: the rest of the day is laid out again around it. What was said to be left stays.
     *
     * @throws PlanConflict if it has not begun, or something fixed follows too soon
     */
    public function more(Block $block, int $minutes, CarbonImmutable $now): ?PlanRevision
    {
        if ($block->starts_at > $now) {
            throw PlanConflict::notBegun();
        }

        return ($this->replan)($block->user, $now, RevisionCause::Longer, first: function () use ($block, $minutes, $now): void {
            Unchanged::ensure($block);
            $yielding = $block->user->blocks()->planned()->where('anchored', false)->where('put_back', false)->pluck('id')->all();
            FixedTime::ensureFree($block->user, $block->starts_at, max($block->ends_at, $now)->addMinutes($minutes), $now, [...$yielding, $block->id], begun: true);
            $block->update(['ends_at' => max($block->ends_at, $now)->addMinutes($minutes)]);
        })?->lyingOn(FixedTime::meetings($block->user, $now, $block->ends_at));
    }

    /** Somebody's answer is needed first: the task waits, its time is free again. */
    public function blocked(Block $block, string $by, ?string $askOn, CarbonImmutable $now): ?PlanRevision
    {
        return ($this->replan)($block->user, $now, RevisionCause::Blocked, first: function () use ($block, $by, $askOn, $now): void {
            Unchanged::ensure($block);
            StopClock::of($block->user, $now);
            $block->starts_at < $now ? $block->update(['state' => BlockState::Part, 'ends_at' => min($now, $block->ends_at), 'put_back' => false]) : $block->delete();
            $this->door->change($block->task, ['stage' => TaskStage::Waiting, 'waiting_for' => $by, 'waiting_since' => $block->user->local($now)->format('Y-m-d'), 'ask_on' => $askOn], $now);
        });
    }
}
