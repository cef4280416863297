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
     * @param  string|null  $part  the name of the part of the day it keeps to
     * @param  string|null  $context  what it needs; small light tasks of one context may be gathered into a batch
     * @param  string|null  $project  the project it is a step of
     * @param  int|null  $pick  the number of the local day it was picked for
     * @param  int|null  $pickMinutes  so much of it is wanted on that day, what is anchored there included; null: all or
     *                             none
     * @param  bool  $key  one of the few tasks that make that day a good one; comes first and early
     * @param  bool  $waiting  for somebody's answer: it has no place until that arrives
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
        public ?string $part = null,
        public ?string $context = null,
        public ?string $project = null,
        public ?int $pick = null,
        public ?int $pickMinutes = null,
        public bool $key = false,
        public bool $waiting = false,
    ) {}

    /** What finishing at that moment costs, in twentieths of a minute. */
    public function cost(int $finish, int $now): int
    {
        return FinishCost::of($this->importance->weight(), $this->lateness(), $this->due->at ?? PHP_INT_MAX, $now, $finish);
    }

    /** What each minute after its due date costs, in twentieths of a minute. */
    public function lateness(): int
    {
        return 20 * $this->importance->weight() * ($this->due?->factor() ?? 0);
    }

    /**
     * The same task with another due date, other minutes, after other tasks, or in other pieces; null leaves what it has.
     *
     * @param  list<string>|null  $after
     */
    public function with(?DueDate $due = null, ?int $minutes = null, ?array $after = null, ?int $minChunk = null): self
    {
        return new self(
            $this->id, $minutes ?? $this->minutes, $this->importance, $this->hours, $due ?? $this->due, $this->notBefore,
            $minChunk ?? $this->minChunk, $this->maxChunk, $after ?? $this->after, $this->demand, $this->part, $this->context, $this->project,
            $this->pick, $this->pickMinutes, $this->key, $this->waiting,
        );
    }
}
