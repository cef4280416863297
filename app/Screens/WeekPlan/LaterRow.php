<?php

declare(strict_types=1);

namespace App\Screens\WeekPlan;

/** What waits until next week, at a due date: all that is due by then against the open time from next week on. */
final readonly class LaterRow
{
    /** @param  int  $minutes  of the tasks that are named */
    public function __construct(public string $name, public string $due, public int $minutes, public int $all, public int $open) {}

    public function room(): int
    {
        return $this->open - $this->all;
    }
}
