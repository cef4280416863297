<?php

declare(strict_types=1);

namespace App\Screens\Find;

use App\Models\Task;
use App\Screens\Page;

/** Find, or do: an index of what was looked for, and what a line would do with what it found. */
final readonly class FindPage extends Page
{
    /**
     * @param  string  $words  as they were typed
     * @param  array<string, list<Entry>>  $groups  by heading
     * @param  int  $count  places in all
     * @param  list<array{task: Task, does: string}>  $does  what the line would do, with the likeliest task first
     * @param  list<string>  $sought  the words that were looked for, folded
     * @param  list<array{day: string, past: int, ahead: int, today: bool, named: bool}>  $lie  where the found ones lie in time
     * @param  string  $load  of today, in words, where an hour more were picked
     */
    public function __construct(public string $words, public array $groups, public int $count, public array $does, public array $sought, public array $lie, public string $load, public bool $isOver) {}
}
