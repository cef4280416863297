<?php

declare(strict_types=1);

namespace Nekto\Core\Task;

use Nekto\Core\Time\Grid;

/** What is left of a task: what was last said to be left, less what was worked since. Nothing else changes it. */
final readonly class Left
{
    /**
     * @param  int  $said  minutes: the estimate, until somebody says otherwise
     * @param  int  $worked  minutes since that was said
     * @param  int|null  $expected  minutes that the plan expects instead, from what such work took; null: as said
     */
    public function __construct(public int $said, public int $worked, public ?int $expected = null) {}

    /** Never below 0: that more was worked than was said is past(). */
    public function minutes(): int
    {
        return max(0, $this->said - $this->worked);
    }

    /** What was said is used up: somebody has to say anew. */
    public function isPast(): bool
    {
        return $this->worked >= $this->said;
    }

    /** Minutes to be laid out, whole steps. One that is past its estimate keeps a step, so that it does not fall out of the plan. */
    public function toPlan(): int
    {
        return max(Grid::STEP, Grid::up(max(0, ($this->expected ?? $this->said) - $this->worked)));
    }
}
