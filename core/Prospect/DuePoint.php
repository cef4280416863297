<?php

declare(strict_types=1);

namespace Nekto\Core\Prospect;

/** What must be done by one due date in one set of hours, against the open time until then. */
final readonly class DuePoint
{
    /**
     * @param  int  $demand  minutes of the work due by then that has the least room: all of it, or the deep with what comes before it
     * @param  int  $supply  minutes that can be planned until then, under the limits of each day
     * @param  list<string>  $tasks  those due by then
     */
    public function __construct(public string $hours, public int $due, public int $demand, public int $supply, public array $tasks) {}

    /** Minutes that do not fit; 0 if all fits. */
    public function missing(): int
    {
        return max(0, $this->demand - $this->supply);
    }
}
