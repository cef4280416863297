<?php

declare(strict_types=1);

namespace App\Screens\Task;

use App\Models\Area;
use App\Models\Block;
use App\Models\Goal;
use App\Models\GoalStep;
use App\Models\HoursSet;
use App\Models\Project;
use App\Models\Task;
use App\Rows\Candidate;
use App\Screens\Frame\TapeDay;
use App\Screens\Page;
use Illuminate\Support\Collection;
use Nekto\Core\Estimate\Remaining;
use Nekto\Core\Prospect\Slack;
use Nekto\Core\Task\Left;

/** A task, whole. */
final readonly class TaskPage extends Page
{
    /**
     * @param  string  $back  the address to go back to
     * @param  Collection<int, Area>  $areas
     * @param  Collection<int, Project>  $projects
     * @param  Collection<int, HoursSet>  $sets
     * @param  Collection<int, string>  $contexts  names
     * @param  int|null  $likely  minutes, as $careful and $spent; null without enough past pairs
     * @param  Left|null  $left  null where it is done or nothing was said
     * @param  Remaining|null  $remaining  where it is past its estimate
     * @param  int|null  $chance  % to be in time
     * @param  Collection<int, Block>  $blocks  the latest first
     * @param  list<array{when: string, what: string}>  $history
     * @param  list<int>  $shares  minutes of each step: as said, or its share of what the estimate leaves
     * @param  list<TapeDay>  $days  from today to its date
     * @param  list<array{title: string, link: string|null, what: string, then: string|null}>  $holds  what holds it up, and the way on: "answered" or an address
     * @param  list<array{id: int, title: string, what: string}>  $waits  what waits for it
     * @param  Collection<int, string>  $people  who was waited for before
     * @param  Collection<int, Goal>  $goals  of the present cycle
     * @param  Collection<int, GoalStep>  $steps  that it is
     * @param  list<array{when: string, what: string}>  $gone  what happened to it before today, for the beginning of its tape
     */
    public function __construct(
        public Task $task,
        public string $back,
        public Collection $areas,
        public Collection $projects,
        public Collection $sets,
        public Collection $contexts,
        public ?int $likely,
        public ?int $careful,
        public int $pairs,
        public int $spent,
        public ?Left $left,
        public ?Remaining $remaining,
        public ?int $chance,
        public Collection $blocks,
        public array $history,
        public array $shares,
        public ?Candidate $candidate,
        public ?Slack $slack,
        public array $days,
        public array $holds,
        public array $waits,
        public array $gone,
        public Collection $people,
        public Collection $goals,
        public Collection $steps,
    ) {}
}
