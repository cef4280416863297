<?php

declare(strict_types=1);

namespace Nekto\Core\Estimate;

use Nekto\Core\Task\Demand;

/** What one finished task was estimated to take and what it took. */
final readonly class Pair
{
    /**
     * @param  int  $estimate  minutes, at least 1
     * @param  int  $actual  minutes, at least 1
     */
    public function __construct(public string $area, public Demand $demand, public int $estimate, public int $actual)
    {
        $estimate > 0 && $actual > 0 || throw new \InvalidArgumentException('Estimated and actual minutes are at least 1.');
    }

    public function ratio(): float
    {
        return $this->actual / $this->estimate;
    }

    public function size(): Size
    {
        return Size::of($this->estimate);
    }
}
