<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\Block;
use App\Models\Entry;
use App\Models\User;
use Carbon\CarbonImmutable;

/** What an account's clock is running for, and whether somebody forgot it. */
final class RunningClock
{
    /** Hours: nobody is taken to go on for longer than this beyond the end of a block without a look at the clock. */
    public const MOST_HOURS = 4;

    /** The same where midnight lies between. */
    private const MOST_HOURS_OVERNIGHT = 1;

    /** The entry that is going on, or null. */
    public static function of(User $user): ?Entry
    {
        return $user->entries()->whereNull('ends_at')->latest('starts_at')->first();
    }

    /** The entry that has been going on since an earlier day, or for hours beyond its end: nobody worked so long. */
    public static function forgotten(User $user, CarbonImmutable $now): ?Entry
    {
        $running = self::of($user);

        return $running !== null && self::isForgotten($user, $running, $now) ? $running : null;
    }

    /** @param  Block|null  $block  that it was begun for, if it is at hand */
    public static function isForgotten(User $user, Entry $entry, CarbonImmutable $now, ?Block $block = null): bool
    {
        $isOfToday = $user->local($entry->starts_at)->isSameDay($user->local($now));

        return self::likelyEnd($user, $entry, $block) <= $now->subHours($isOfToday ? self::MOST_HOURS : self::MOST_HOURS_OVERNIGHT);
    }

    /** When a forgotten entry probably ended: with its block, or else an hour after it began. */
    public static function likelyEnd(User $user, Entry $entry, ?Block $block = null): CarbonImmutable
    {
        $block ??= $entry->block_id === null ? null : $user->blocks()->find($entry->block_id);

        return $block !== null && $block->ends_at > $entry->starts_at ? $block->ends_at : $entry->starts_at->addHour();
    }
}
