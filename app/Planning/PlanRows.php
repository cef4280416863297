<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Block;
use App\Models\Habit;
use App\Models\Task;
use App\Rows\Milestones;
use App\Rows\Picks;
use App\Rows\Steps;
use App\Rows\WorkTime;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;

/** The rows a plan depends on, read at one moment. */
final readonly class PlanRows
{
    /**
     * @param  Collection<int, Task>  $tasks  plannable, by id, with their areas
     * @param  Collection<int, Block>  $blocks  planned ones of these tasks, by start
     * @param  Block|null  $running  the one whose clock runs
     * @param  Collection<int, Block>  $worked  today's that are done or worked in part, with their tasks' hours
     * @param  array<int, CarbonImmutable>  $workedUntil  how far blocks that went by were worked in, by the block's id
     * @param  array<int, int>  $workedIn  minutes worked in blocks that are on, by the block's id
     * @param  Collection<int, Habit>  $habits  by id, those of tasks that are to be planned
     * @param  array<int, list<int>>  $habitDays  numbers of the local days on which each was done of late, by the habit's id
     */
    public function __construct(
        public CarbonImmutable $now,
        public WorkTime $time,
        public Collection $tasks,
        public Collection $blocks,
        public ?Block $running,
        public Steps $steps,
        public Picks $picks,
        public Collection $worked,
        public array $workedIn = [],
        public array $workedUntil = [],
        public ?Milestones $milestones = null,
        public Collection $habits = new Collection,
        public array $habitDays = [],
    ) {}
}
