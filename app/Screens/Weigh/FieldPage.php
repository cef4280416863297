<?php

declare(strict_types=1);

namespace App\Screens\Weigh;

use App\Models\Task;
use App\Rows\Candidate;
use App\Screens\Page;
use Illuminate\Support\Collection;

/** The field and the stack. */
final readonly class FieldPage extends Page
{
    /**
     * @param  array<int, int>  $chances  % to be in time, by task
     * @param  list<Mark>  $marks
     * @param  list<PullLine>  $lines
     * @param  Collection<int, Candidate>  $unweighed
     * @param  Collection<int, Task>  $tasks  those that are shown, by id
     * @param  int  $place  of the card in the stack, from 1; 0 for none
     * @param  Collection<int, string>  $projects  names
     */
    public function __construct(
        public array $chances,
        public Axis $axis,
        public ?string $zoom,
        public array $marks,
        public array $lines,
        public Collection $unweighed,
        public int $weighedCount,
        public Collection $tasks,
        public ?Card $current,
        public int $place,
        public Collection $projects,
    ) {}
}
