<?php

declare(strict_types=1);

namespace App\Undo;

/** What a change did to the plan, for its note. */
final readonly class Changed
{
    /**
     * @param  list<array<string, mixed>>  $moves
     * @param  list<array{task: int, title: string, due: int, at: bool, end: int|null, weight: int, importance: int, hard: bool, was: int}>  $late  what it made late
     */
    public function __construct(public array $moves, public array $late) {}
}
