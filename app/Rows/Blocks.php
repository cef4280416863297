<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\User;
use App\Models\Worked;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;

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
     * The time that is the person's own choice: what a day can carry is counted without it.
     *
     * @param  Collection<int, Block>  $blocks
     */
    public static function anchored(Collection $blocks): IntervalSet
    {
        return IntervalSet::covering(...$blocks->filter(static fn (Block $block): bool => $block->anchored && $block->state !== BlockState::Passed)
            ->map(static fn (Block $block): Interval => RowMapper::time($block))->values()->all());
    }

    /**
     * How far blocks that are over were worked in, by the clock.
     *
     * @param  Collection<int, Block>  $over
     * @return array<int, CarbonImmutable> by the block's id; those without work are not in it
     */
    public static function workedUntil(User $user, Collection $over, CarbonImmutable $now): array
    {
        if ($over->isEmpty()) {
            return [];
        }
        $entries = $user->entries()->where('break', false)->whereIn('task_id', $over->pluck('task_id')->unique())->where('starts_at', '<', $over->max('ends_at'))
            ->where(static fn (Builder $one): Builder => $one->whereNull('ends_at')->orWhere('ends_at', '>', $over->min('starts_at')))->get()->groupBy('task_id');
        $until = [];
        foreach ($over as $block) {
            foreach ($entries[$block->task_id] ?? [] as $entry) {
                $end = min($entry->ends_at ?? $now, $block->ends_at);
                if ($entry->starts_at < $block->ends_at && $end > $block->starts_at) {
                    $until[$block->id] = max($until[$block->id] ?? $end, $end);
                }
            }
        }

        return $until;
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

    /**
     * Minutes for which blocks that are on stand though they were not worked in them: what is left of a task is laid out for
     * so many minutes more than its blocks to come.
     *
     * @param  Collection<int, Block>  $blocks
     * @return array<int, int> by task
     */
    public static function begunLate(User $user, Collection $blocks, CarbonImmutable $now): array
    {
        $worked = self::workedIn($user, $blocks, $now);
        $late = [];
        foreach ($blocks as $block) {
            if ($block->isOn($now)) {
                $late[$block->task_id] = max(0, Moments::minute($now) - RowMapper::start($block) - ($worked[$block->id] ?? 0));
            }
        }

        return $late;
    }
}
