<?php

declare(strict_types=1);

namespace App\Rows;

/** Minutes of a day that are taken without planning having laid them: worked, begun, or anchored. */
final readonly class Taken
{
    /**
     * @param  int  $start  minutes since 1970-01-01T00:00Z
     * @param  bool  $underLine  false: anchored, so that it lessens the open time instead
     */
    public function __construct(public int $set, public bool $deep, public int $start, public int $minutes, public bool $underLine) {}
}
