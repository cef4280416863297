<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Block;
use App\Planning\PlanConflict;
use App\Time\Clock;
use App\Wording\Times;

/** Looks at a block once more when it is its change's turn: another window, or the plan itself, may have been first. */
final class Unchanged
{
    /**
     * @param  string|null  $mark  how the person saw it; null: as it was read
     *
     * @throws PlanConflict if it is gone, is not planned any more, or lies elsewhere
     */
    public static function ensure(Block $block, ?string $mark = null): void
    {
        $now = $block->user->blocks()->find($block->id) ?? throw PlanConflict::gone();
        if (! $now->isPlanned() || $now->mark() !== ($mark ?? $block->mark())) {
            throw PlanConflict::changedElsewhere($block->task->title, Times::range($block->user, $now->starts_at, $now->ends_at, Clock::now()));
        }
    }
}
