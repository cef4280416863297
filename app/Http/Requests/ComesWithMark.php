<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Edits\Unchanged;
use App\Models\Block;
use App\Planning\PlanConflict;

/** A change of a block that says how the person saw it, so that a change made elsewhere meanwhile is noticed. */
trait ComesWithMark
{
    /** @return array<string, list<mixed>> */
    private function markRules(): array
    {
        return ['mark' => ['nullable', 'string', 'max:40']];
    }

    /** @throws PlanConflict if the block was changed since it was shown, in another window or by the plan itself */
    public function ensureCurrent(Block $block): void
    {
        Unchanged::ensure($block, $this->filled('mark') ? $this->string('mark')->toString() : null);
    }
}
