<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Block;
use App\Models\BlockState;
use App\Planning\PlanConflict;
use App\Time\Clock;
use App\Wording\Times;
use Illuminate\Validation\ValidationException;

/** A change of a block that says how the person saw it, so that a change made elsewhere meanwhile is noticed. */
trait ComesWithMark
{
    /** @return array<string, list<mixed>> */
    private function markRules(): array
    {
        return ['mark' => ['nullable', 'string', 'max:40']];
    }

    /** @throws ValidationException if the block was changed since it was shown, in another window or by the plan itself */
    public function ensureCurrent(Block $block): void
    {
        if ($block->state !== BlockState::Planned || ($this->filled('mark') && $this->input('mark') !== $block->mark())) {
            $when = Times::range($this->user(), $block->starts_at, $block->ends_at, Clock::now());
            throw ValidationException::withMessages(['start' => PlanConflict::changedElsewhere($block->task->title, $when)->getMessage()]);
        }
    }
}
