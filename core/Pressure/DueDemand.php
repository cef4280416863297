<?php

declare(strict_types=1);

namespace Nekto\Core\Pressure;

/** What must be done by a due date against the open time until then, in one set of hours. */
final readonly class DueDemand
{
    /**
     * @param  int  $demand  minutes of all remaining work due by that date
     * @param  int  $supply  open minutes until then
     */
    public function __construct(public int $demand, public int $supply) {}

    /** Demand ÷ supply in %, rounded; at most 999, which also stands for work with no open time left at all. */
    public function pressure(): int
    {
        if ($this->supply === 0) {
            return $this->demand > 0 ? 999 : 0;
        }

        return min(999, (int) round(100 * $this->demand / $this->supply));
    }

    /** Open minutes that are left when all due work is done; negative in a crunch. */
    public function room(): int
    {
        return $this->supply - $this->demand;
    }
}
