<?php

declare(strict_types=1);

namespace App\Edits;

/** A change that was worked out: what it is, and the figures it needs. */
final readonly class Change
{
    /**
     * @param  list<int>  $tasks  it is about: those that wait, the one to cut, those that are picked
     * @param  list<int>  $keys  of the picks
     * @param  list<int>  $hold  tasks that stay where they are
     * @param  int  $minutes  longer: of extra hours; cut: taken off
     */
    public function __construct(
        public ChangeKind $kind,
        public array $tasks = [],
        public array $keys = [],
        public array $hold = [],
        public int $minutes = 0,
        public ?CrunchWay $way = null,
    ) {}
}
