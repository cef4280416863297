<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

/** Small light tasks of one context are done together instead of scattered over the day. */
final readonly class Batches
{
    /**
     * @param  int  $minutes  the most minutes of one batch
     * @param  int  $small  the most minutes of a task that may be gathered
     */
    public function __construct(public int $minutes, public int $small)
    {
        $small > 0 && $minutes >= $small || throw InvalidProblem::at('batches', 'needs 0 < small <= minutes');
    }
}
