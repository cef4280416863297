<?php

declare(strict_types=1);

namespace App\Clock;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Entry;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Planning\FixedTime;
use App\Planning\PlanConflict;
use App\Planning\Replan;
use App\Rows\Blocks;
use App\Time\Grid;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * What is being worked on. The clock is a row on the server: it runs on through reloads, closed windows and sleep, and
 * there is one for all windows of an account.
 */
final readonly class Timer
{
    /** Nobody is taken to go on for longer than this beyond the end of a block without a look at the clock. */
    public const MOST_HOURS = 4;

    /** The same where midnight lies between. */
    private const MOST_HOURS_OVERNIGHT = 1;

    public function __construct(private Replan $replan) {}

    /** The entry that is going on, or null. */
    public static function running(User $user): ?Entry
    {
        return $user->entries()->whereNull('ends_at')->latest('starts_at')->first();
    }

    /** The entry that has been going on since an earlier day, or for hours beyond its end: nobody worked so long. */
    public static function forgotten(User $user, CarbonImmutable $now): ?Entry
    {
        $running = self::running($user);

        return $running !== null && self::isForgotten($user, $running, $now) ? $running : null;
    }

    /** When a forgotten entry probably ended: with its block, or else an hour after it began. */
    public static function likelyEnd(User $user, Entry $entry): CarbonImmutable
    {
        $block = $entry->block_id === null ? null : $user->blocks()->find($entry->block_id);

        return $block !== null && $block->ends_at > $entry->starts_at ? $block->ends_at : $entry->starts_at->addHour();
    }

    private static function isForgotten(User $user, Entry $entry, CarbonImmutable $now): bool
    {
        $isOfToday = $user->local($entry->starts_at)->isSameDay($user->local($now));

        return self::likelyEnd($user, $entry) <= $now->subHours($isOfToday ? self::MOST_HOURS : self::MOST_HOURS_OVERNIGHT);
    }

    /**
     * Goes over to a task; what was going on ends. Asked twice, it goes on as it is. A block of later today begins now,
     * and the rest of the day moves up. Null if nothing of the plan moved.
     */
    public function start(User $user, Task $task, ?Block $block, CarbonImmutable $now): ?PlanRevision
    {
        if (self::isOn($user, $task)) {
            return null;
        }
        $begin = function () use ($user, $task, $block, $now): void {
            if (self::isOn($user, $task)) { // another window was first
                return;
            }
            $this->pause($user, $now);
            $user->entries()->create(['task_id' => $task->id, 'block_id' => $block?->id, 'starts_at' => $now]);
        };
        $end = $block === null ? null : $this->endIfBegunNow($user, $block, $now);
        if ($block === null || $end === null) {
            DB::transaction($begin);

            return null;
        }

        return ($this->replan)($user, $now, RevisionCause::Begun, first: static function () use ($block, $begin, $end, $now): void {
            $begin();
            $block->update(['starts_at' => Grid::last($now), 'ends_at' => $end, 'kept' => false]);
        });
    }

    private static function isOn(User $user, Task $task): bool
    {
        $running = self::running($user);

        return $running !== null && $running->task_id === $task->id && ! $running->break;
    }

    /** When a block of later today would end if it began now: before the next meeting or anchored block; null if it cannot. */
    private function endIfBegunNow(User $user, Block $block, CarbonImmutable $now): ?CarbonImmutable
    {
        if ($block->state !== BlockState::Planned || $block->starts_at <= $now || ! $user->local($block->starts_at)->isSameDay($user->local($now))) {
            return null;
        }
        $start = Grid::last($now);
        $end = $start->addMinutes((int) $block->starts_at->diffInMinutes($block->ends_at));
        $meeting = $user->occurrences()->where('busy', true)->where('all_day', false)->whereRelation('meeting', 'ignored', false)->where('starts_at', '<', $end)->where('ends_at', '>', $now)->min('starts_at');
        $fixed = $user->blocks()->fixed($now)->whereKeyNot($block->id)
            ->where('starts_at', '<', $end)->where('ends_at', '>', $start)->min('starts_at');
        foreach (array_filter([$meeting, $fixed]) as $moment) {
            $end = min($end, CarbonImmutable::parse((string) $moment, 'UTC'));
        }

        return $end > $now->addMinutes(5) ? $end : null;
    }

    public function rest(User $user, CarbonImmutable $now): void
    {
        DB::transaction(function () use ($user, $now): void {
            if (self::running($user)?->break !== true) {
                $this->pause($user, $now);
                $user->entries()->create(['starts_at' => $now, 'break' => true]);
            }
        });
    }

    public function pause(User $user, CarbonImmutable $now): void
    {
        DB::transaction(static function () use ($user, $now): void {
            foreach ($user->entries()->whereNull('ends_at')->get() as $entry) {
                $entry->starts_at >= $now ? $entry->delete() : $entry->update(['ends_at' => self::isForgotten($user, $entry, $now) ? self::likelyEnd($user, $entry) : $now]);
            }
        });
    }

    /**
     * More time for a block that is on: the rest of the day is laid out again around it.
     *
     * @throws PlanConflict if it has not begun, or something fixed follows too soon
     */
    public function more(Block $block, int $minutes, CarbonImmutable $now): ?PlanRevision
    {
        if ($block->starts_at > $now) {
            throw PlanConflict::notBegun();
        }
        $yielding = $block->user->blocks()->where('state', BlockState::Planned)->where('anchored', false)->where('kept', false)->pluck('id')->all();
        FixedTime::ensureFree($block->user, $block->starts_at, max($block->ends_at, $now)->addMinutes($minutes), $now, [...$yielding, $block->id], begun: true);

        return ($this->replan)($block->user, $now, RevisionCause::Longer, first: static function () use ($block, $minutes, $now): void {
            $end = max($block->ends_at, $now)->addMinutes($minutes);
            $added = (int) $block->ends_at->diffInMinutes($end);
            $task = $block->task;
            $block->update(['ends_at' => $end]);
            $left = (int) $now->diffInMinutes($end);
            $other = Blocks::minutesBeside($block);
            $task->update(['minutes_left' => max((int) $task->minutes_left, $left + $other), 'estimate' => (int) $task->estimate + $added]);
        });
    }

    /** Somebody's answer is needed first: the task waits, its time is free again. */
    public function blocked(Block $block, string $by, ?string $askOn, CarbonImmutable $now): ?PlanRevision
    {
        return ($this->replan)($block->user, $now, RevisionCause::Blocked, first: function () use ($block, $by, $askOn, $now): void {
            $this->pause($block->user, $now);
            $block->starts_at < $now ? $block->update(['state' => BlockState::Part, 'ends_at' => min($now, $block->ends_at), 'kept' => false]) : $block->delete();
            $block->task->update(['stage' => TaskStage::Waiting, 'waiting_for' => $by, 'waiting_since' => $block->user->local($now)->format('Y-m-d'), 'ask_on' => $askOn]);
        });
    }
}
