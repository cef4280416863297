<?php

declare(strict_types=1);

namespace App\Screens\View;

use App\Find\Question;
use App\Models\Task;
use App\Rows\Candidate;
use App\Screens\Page;
use Illuminate\Support\Collection;

/** The answer to a question: tasks in groups. */
final readonly class ViewPage extends Page
{
    /**
     * @param  array<int, int>  $chances  % to be in time, by task
     * @param  bool  $contradicts  its conditions exclude each other
     * @param  array<string, array{count: int, estimated: int, left: int, worked: int}>|null  $sums  by group, minutes; null if it is shown as a list
     * @param  Collection<string, Collection<int, Task>>  $groups  by name
     * @param  Collection<int, Candidate>  $candidates  by task id
     * @param  array<string, array<int|string, string>>  $choices  by kind of condition
     */
    public function __construct(
        public array $chances,
        public string $sentence,
        public Question $question,
        public bool $contradicts,
        public int $count,
        public int $shown,
        public int $minutes,
        public ?array $sums,
        public Collection $groups,
        public Collection $candidates,
        public array $choices,
    ) {}
}
