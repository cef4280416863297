<?php

declare(strict_types=1);

namespace Nekto\Core\Prospect;

/** How far a task can slip. */
final readonly class TaskSlack
{
    /**
     * @param  int  $start  of its first planned block
     * @param  int  $latestStart  of that block, if all due dates are to hold
     * @param  int  $slack  open minutes between the two; for a late task the minutes of its lateness, negative
     * @param  int  $late  minutes after its due date; 0 if it is in time
     * @param  bool  $dated  false: only the horizon and what comes after it hold it
     */
    public function __construct(public int $start, public int $latestStart, public int $slack, public int $late, public bool $dated) {}
}
