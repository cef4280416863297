<?php

declare(strict_types=1);

namespace Nekto\Core\Task;

/** When a task must be finished. Being late for a hard one counts ten times. */
final readonly class DueDate
{
    /** @param  int  $at  minutes since 1970-01-01T00:00Z */
    public function __construct(public int $at, public bool $hard = false) {}

    /** What a minute of lateness counts, before the task's weight. */
    public function factor(): int
    {
        return $this->hard ? 10 : 1;
    }
}
