<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

use Nekto\Core\Time\Interval;

/** Small tasks that are done together in one block. */
final readonly class Batch
{
    /** @param  list<string>  $tasks  in the order in which they are done */
    public function __construct(public string $context, public Interval $time, public array $tasks) {}
}
