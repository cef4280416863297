<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

use Nekto\Core\Time\Interval;

/** Planned time for a task. */
final readonly class Block
{
    public function __construct(public string $task, public Interval $time, public bool $anchored = false) {}

    public function equals(self $other): bool
    {
        return $this->task === $other->task && $this->time->equals($other->time) && $this->anchored === $other->anchored;
    }
}
