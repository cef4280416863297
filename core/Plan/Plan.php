<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

use Nekto\Core\Time\Interval;

/** What planning found. */
final readonly class Plan
{
    /**
     * @param  list<Block>  $blocks  by start; no two overlap
     * @param  list<Unplaced>  $unplaced  at most one a task; empty if everything fits
     * @param  list<list<Reason>>  $reasons  for each block, in the same order; the first says why then
     * @param  list<Interval>  $breaks  rests between blocks that would be too much in a row without
     * @param  list<Batch>  $batches  blocks that are done together
     */
    public function __construct(
        public array $blocks,
        public array $unplaced = [],
        public array $reasons = [],
        public array $breaks = [],
        public array $batches = [],
    ) {}

    /** @return list<Block> by start */
    public function blocksOf(string $task): array
    {
        return array_values(array_filter($this->blocks, static fn (Block $block): bool => $block->task === $task));
    }
}
