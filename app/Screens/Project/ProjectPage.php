<?php

declare(strict_types=1);

namespace App\Screens\Project;

use App\Models\Area;
use App\Models\Project;
use App\Models\Task;
use App\Screens\Frame\TapeDay;
use App\Screens\Page;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;

/** A project with what is left of it. */
final readonly class ProjectPage extends Page
{
    /**
     * @param  Collection<int, Collection<int, Task>>  $sections  open tasks by section id, 0 for none
     * @param  Collection<int, Task>  $waiting
     * @param  Collection<int, Task>  $notes
     * @param  Collection<int, Task>  $done
     * @param  int  $minutes  left
     * @param  CarbonImmutable|null  $end  when the plan finishes it
     * @param  bool  $whole  all that is left has its time
     * @param  int|null  $chance  percent, of the weakest of its due dates
     * @param  array<int, int>  $chances  % to be in time, by task
     * @param  Collection<int, Area>  $areas
     * @param  Collection<int, Project>  $others  it may begin after
     * @param  Vessel|null  $vessel  null where nothing of it is due
     * @param  list<TapeDay>  $days
     * @param  array<int, array{from: int, to: int, end: int, ahead: bool}>  $lies  by task: first and last of its planned days, and when it is done by plan
     * @param  array<int, int>  $late  minutes by task
     * @param  array<int, int>  $before  the step right before, by task
     * @param  int|null  $next  the step that can be done now, of a project in line
     * @param  list<array{title: string, what: string, form: string, link: string|null, task: int|null}>  $holds
     */
    public function __construct(
        public Project $project,
        public Collection $sections,
        public Collection $waiting,
        public Collection $notes,
        public Collection $done,
        public int $minutes,
        public int $unestimated,
        public ?CarbonImmutable $end,
        public bool $whole,
        public ?int $chance,
        public array $chances,
        public Collection $areas,
        public Collection $others,
        public ?Vessel $vessel,
        public array $days,
        public array $lies,
        public array $late,
        public array $before,
        public ?int $next,
        public array $holds,
    ) {}
}
