<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

/** A rest after so many minutes of work in a row. */
final readonly class Breaks
{
    /**
     * @param  int  $after  the most minutes of work without a break
     * @param  int  $minutes  of the break
     */
    public function __construct(public int $after, public int $minutes)
    {
        $after > 0 && $minutes > 0 || throw InvalidProblem::at('breaks', 'needs after and minutes above 0');
    }
}
