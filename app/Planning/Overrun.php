<?php

declare(strict_types=1);

namespace App\Planning;

use App\Clock\Timer;
use App\Models\Block;
use App\Models\BlockState;
use App\Models\User;
use App\Rows\Blocks;
use App\Time\Grid;
use Carbon\CarbonImmutable;

/**
 * A block whose time is over while its clock still runs goes on a little, as long as its day has not ended: what
 * follows makes way, and nothing that is being worked on is taken for work that went by undone.
 */
final readonly class Overrun
{
    /** It is given so many minutes more at a time. */
    private const MORE = 10;

    /** Lets it go on until the next meeting or anchored block at most; the rest of the plan is for replanning. */
    public static function extend(User $user, CarbonImmutable $now): void
    {
        $block = self::block($user, $now);
        if ($block === null) {
            return;
        }
        $meeting = self::moment($user->occurrences()->where('busy', true)->where('all_day', false)->whereRelation('meeting', 'ignored', false)
            ->where('starts_at', '<', $now->addMinutes(2 * self::MORE))->where('ends_at', '>', $block->ends_at)->min('starts_at'));
        if ($meeting !== null && $meeting <= $now) { // nobody works on under it
            $user->entries()->whereNull('ends_at')->where('block_id', $block->id)->update(['ends_at' => max($block->ends_at, $meeting)]);

            return;
        }
        $fixed = self::moment($user->blocks()->where('state', BlockState::Planned)->where('anchored', true)->whereKeyNot($block->id)
            ->where('starts_at', '<', $now->addMinutes(2 * self::MORE))->where('ends_at', '>', $block->ends_at)->min('starts_at'));
        if (($fixed !== null && $fixed <= $now) || $block->ends_at <= $now->subHours(Timer::MOST_HOURS)) { // the clock may run on, but that time is another's
            return;
        }
        $end = min(array_filter([Grid::next($now->addMinutes(self::MORE)), $meeting, $fixed]));
        $block->update(['ends_at' => $end]);
        $task = $block->task;
        $others = Blocks::minutesBeside($block);
        $needed = (int) $block->starts_at->diffInMinutes($end) + $others;
        $task->minutes_left < $needed && $task->update(['minutes_left' => $needed]);
    }

    /** The block that is over while its clock still runs. */
    private static function block(User $user, CarbonImmutable $now): ?Block
    {
        $entry = Timer::running($user);
        if ($entry === null || $entry->break || $entry->block_id === null || (Timer::forgotten($user, $now) !== null && ! $user->local($entry->starts_at)->isSameDay($user->local($now)))) {
            return null;
        }

        return $user->blocks()->where('state', BlockState::Planned)->where('kept', false)->where('ends_at', '<=', $now)->find($entry->block_id);
    }

    private static function moment(mixed $stored): ?CarbonImmutable
    {
        return $stored === null ? null : CarbonImmutable::parse((string) $stored, 'UTC');
    }
}
