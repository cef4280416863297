<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\Block;
use App\Models\User;
use App\Time\Moments;
use Illuminate\Database\Eloquent\Relations\HasMany;
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

    /** Minutes planned for the block's task beside this one. */
    public static function minutesBeside(Block $block): int
    {
        return (int) $block->task->blocks()->planned()->whereKeyNot($block->id)->get()
            ->sum(static fn (Block $one): int => RowMapper::time($one)->length());
    }
}
