<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Block;
use App\Models\User;
use App\Rows\RunningClock;
use App\Time\GridMoments;
use Carbon\CarbonImmutable;

/**
 * A block whose time is over while its clock still runs goes on a little, as long as its day has not ended: what
 * follows makes way, and nothing that is being worked on is taken for work that went by undone.
 */
final readonly class Overrun
{
    /** Minutes that it is given more at a time. */
    private const MORE = 10;

    /** Minutes where other work has to make way: once, instead of a little every few minutes. */
    private const ONCE = 30;

    /** Lets it go on until the next meeting or pinned block at most; the rest of the plan is for replanning. */
    public static function extend(User $user, CarbonImmutable $now): void
    {
        $block = self::block($user, $now);
        if ($block === null) {
            return;
        }
        $soon = $now->addMinutes(self::ONCE + self::MORE);
        $next = $user->occurrences()->interrupting()->where('starts_at', '<', $soon)->where('ends_at', '>', $block->ends_at)->orderBy('starts_at')->first();
        $meeting = $next?->starts_at;
        if ($next !== null && $meeting <= $now) { // few work on under it: whether somebody did is asked afterwards
            $user->entries()->whereNull('ends_at')->where('block_id', $block->id)->update(['ends_at' => max($block->ends_at, $meeting), 'stopped_by' => mb_substr($next->summary, 0, 200)]);

            return;
        }
        $pinned = self::moment($user->blocks()->pinned()->whereKeyNot($block->id)->where('starts_at', '<', $soon)->where('ends_at', '>', $block->ends_at)->min('starts_at'));
        if (($pinned !== null && $pinned <= $now) || $block->ends_at <= $now->subHours(RunningClock::MOST_HOURS)) { // the clock may run on, but that time is another's
            return;
        }
        $little = GridMoments::next($now->addMinutes(self::MORE));
        $takes = $user->blocks()->planned()->whereKeyNot($block->id)->where('starts_at', '<', $little)->where('ends_at', '>', $block->ends_at)->exists();
        $end = min(array_filter([$takes ? GridMoments::next($now->addMinutes(self::ONCE)) : $little, $meeting, $pinned]));
        $block->update(['ends_at' => $end]);
    }

    /** The block that is over while its clock still runs. */
    private static function block(User $user, CarbonImmutable $now): ?Block
    {
        $entry = RunningClock::of($user);
        if ($entry === null || $entry->break || $entry->block_id === null || (RunningClock::forgotten($user, $now) !== null && ! $user->local($entry->starts_at)->isSameDay($user->local($now)))) {
            return null;
        }

        return $user->blocks()->passed($now)->find($entry->block_id);
    }

    private static function moment(mixed $stored): ?CarbonImmutable
    {
        return $stored === null ? null : CarbonImmutable::parse((string) $stored, 'UTC');
    }
}
