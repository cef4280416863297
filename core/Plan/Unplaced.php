<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

/** Work without a place: why, and how many minutes (at least 1) are missing. */
final readonly class Unplaced
{
    public function __construct(public string $task, public int $minutes, public UnplacedReason $reason) {}
}
