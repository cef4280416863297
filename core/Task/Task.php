<?php

declare(strict_types=1);

namespace Nekto\Core\Task;

/** Work that is left to be placed. */
final readonly class Task
{
    /**
     * @param  int  $minutes  left to place, anchored blocks included; positive
     * @param  string  $hours  the name of the set of hours it is done in
     * @param  int|null  $notBefore  its earliest start, minutes since 1970-01-01T00:00Z
     * @param  int  $minChunk  the least minutes of one block (less only if the task itself is shorter)
     * @param  int  $maxChunk  the most minutes of one block
     * @param  list<string>  $after  ids of the tasks that must be finished first
     */
    public function __construct(
        public string $id,
        public int $minutes,
        public Importance $importance,
        public string $hours,
        public ?DueDate $due = null,
        public ?int $notBefore = null,
        public int $minChunk = 15,
        public int $maxChunk = 120,
        public array $after = [],
        public Demand $demand = Demand::Light,
    ) {}

    /** What finishing at that moment costs: see bench/README.md. In twentieths of a minute, so that it is exact. */
    public function cost(int $finish, int $now): int
    {
        $late = $this->due === null ? 0 : max(0, $finish - $this->due->at) * $this->due->factor();

        return $this->importance->weight() * (20 * $late + $finish - $now);
    }
}
