<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\User;
use Carbon\CarbonImmutable;

/**
 * A block whose time is over while its clock still runs goes on a little, as long as its day has not ended: what
 * follows makes way, and nothing that is being worked on is taken for work that went by undone.
 */
final readonly class Overrun
{
    /** It is given so many minutes more at a time. */
    private const MORE = 10;

    /** Nobody is taken to go on for longer than this without a look at the clock. */
    private const MOST_HOURS = 4;

    public static function block(User $user, CarbonImmutable $now): ?Block
    {
        $entry = Timer::running($user);
        if ($entry === null || $entry->break || $entry->block_id === null || ! $user->local($entry->starts_at)->isSameDay($user->local($now))) {
            return null;
        }

        return $user->blocks()->where('state', BlockState::Planned)->where('kept', false)->where('ends_at', '<=', $now)->where('ends_at', '>', $now->subHours(self::MOST_HOURS))->find($entry->block_id);
    }

    /** Lets it go on until the next meeting at most; the rest of the plan is for replanning. */
    public static function extend(User $user, CarbonImmutable $now): void
    {
        $block = self::block($user, $now);
        if ($block === null) {
            return;
        }
        $meeting = $user->occurrences()->where('busy', true)->where('all_day', false)->whereRelation('meeting', 'ignored', false)
            ->where('starts_at', '<', $now->addMinutes(2 * self::MORE))->where('ends_at', '>', $block->ends_at)->min('starts_at');
        $limit = $meeting === null ? null : CarbonImmutable::parse((string) $meeting, 'UTC');
        if ($limit !== null && $limit <= $now) { // the meeting has begun: nobody works on under it
            $user->entries()->whereNull('ends_at')->where('block_id', $block->id)->update(['ends_at' => max($block->ends_at, $limit)]);

            return;
        }
        $fixed = $user->blocks()->where('state', BlockState::Planned)->where('anchored', true)->whereKeyNot($block->id)
            ->where('starts_at', '<', $now->addMinutes(2 * self::MORE))->where('ends_at', '>', $block->ends_at)->min('starts_at');
        $limit = $fixed === null ? $limit : min($limit ?? CarbonImmutable::parse((string) $fixed, 'UTC'), CarbonImmutable::parse((string) $fixed, 'UTC'));
        if ($limit !== null && $limit <= $now) { // the clock may run on, but that time is another's
            return;
        }
        $step = (int) config('nekto.step');
        $end = $now->addMinutes(self::MORE);
        $end = $end->addMinutes(($step - $end->minute % $step) % $step);
        $end = $limit === null ? $end : min($end, $limit);
        $block->update(['ends_at' => $end]);
        $task = $block->task;
        $others = (int) $task->blocks()->where('state', BlockState::Planned)->whereKeyNot($block->id)->get()->sum(static fn (Block $one): int => (int) $one->starts_at->diffInMinutes($one->ends_at));
        $needed = (int) $block->starts_at->diffInMinutes($end) + $others;
        $task->minutes_left < $needed && $task->update(['minutes_left' => $needed]);
    }
}
