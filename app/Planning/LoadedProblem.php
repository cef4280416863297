<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Block;
use App\Models\Task;
use App\Rows\WorkTime;
use Illuminate\Support\Collection;
use Nekto\Core\Plan\PlanningProblem;

/** A planning problem with the rows it was made from. */
final readonly class LoadedProblem
{
    /**
     * @param  Collection<int, Task>  $tasks  by id
     * @param  Collection<int, Block>  $movable  the blocks that the new plan replaces
     * @param  string|null  $running  the task whose clock runs in its block
     */
    public function __construct(
        public PlanningProblem $problem,
        public WorkTime $time,
        public Collection $tasks,
        public Collection $movable,
        public ?string $running = null,
    ) {}
}
