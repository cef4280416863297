<?php

declare(strict_types=1);

namespace Nekto\Core\Pressure;

/** What must be done by a due date against the open time until then, in one set of hours. */
final readonly class DueDemand
{
    /** Stands for work with no open time left at all. */
    public const NO_TIME = 999;

    /** More than this is not told apart. */
    public const MOST = 990;

    /**
     * @param  int  $demand  minutes of all remaining work due by that date
     * @param  int  $supply  open minutes until then
     */
    public function __construct(public int $demand, public int $supply) {}

    /** Demand ÷ supply in %, rounded; at most MOST, or NO_TIME. */
    public function pressure(): int
    {
        if ($this->supply === 0) {
            return $this->demand > 0 ? self::NO_TIME : 0;
        }

        return min(self::MOST, (int) round(100 * $this->demand / $this->supply));
    }

    /** Open minutes that are left when all due work is done; negative in a crunch. */
    public function room(): int
    {
        return $this->supply - $this->demand;
    }
}
