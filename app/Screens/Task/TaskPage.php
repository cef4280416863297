<?php

declare(strict_types=1);

namespace App\Screens\Task;

use App\Models\Area;
use App\Models\Block;
use App\Models\HoursSet;
use App\Models\Project;
use App\Models\Task;
use App\Screens\Page;
use Illuminate\Support\Collection;
use Nekto\Core\Estimate\Remaining;
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
    ) {}
}
