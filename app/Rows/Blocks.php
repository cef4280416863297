<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\Block;
use App\Models\User;
use App\Models\Worked;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;
use Nekto\Core\Time\Interval;

/** A person's blocks by when they are. */
final readonly class Blocks
{
    /** Minutes: no block is longer, so that years of history need not be looked through for one that reaches in. */
    private const LONGEST = 2880;

    /** @return HasMany<Block, User> those that lie in the span, wholly or in part, by start */
    public static function during(User $user, Interval $span): HasMany
    {
        return $user->blocks()->where('starts_at', '<', Moments::moment($span->end))->where('starts_at', '>', Moments::moment($span->start - self::LONGEST))
            ->where('ends_at', '>', Moments::moment($span->start))->orderBy('starts_at');
    }

    /**
     * Minutes that were worked in blocks that are on. For the rest of their length they stand for work that is left,
     * also where they were begun late.
     *
     * @param  Collection<int, Block>  $blocks
     * @return array<int, int> by the block's id
     */
    public static function workedIn(User $user, Collection $blocks, CarbonImmutable $now): array
    {
        $on = $blocks->filter(static fn (Block $block): bool => $block->isOn($now));
        if ($on->isEmpty()) {
            return [];
        }
        $entries = $user->entries()->whereIn('task_id', $on->pluck('task_id')->unique())->where('starts_at', '>', $on->min('starts_at')->subDay())->get()->groupBy('task_id');

        return $on->mapWithKeys(static fn (Block $block): array => [$block->id => Worked::minutes($entries[$block->task_id] ?? [], $now, $block->starts_at)])->all();
    }
}
