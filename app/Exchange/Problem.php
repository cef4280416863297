<?php

declare(strict_types=1);

namespace App\Exchange;

/** What of a file could not be read. */
final readonly class Problem
{
    /** @param  int  $line  from 1 */
    public function __construct(public int $line, public string $what) {}
}
