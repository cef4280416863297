<?php

declare(strict_types=1);

namespace App\Screens\Weigh;

use App\Models\Area;
use App\Models\Task;
use App\Models\User;
use App\Rows\Candidate;
use App\Screens\Page;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;

/** The list by pull. */
final readonly class ListPage extends Page
{
    /**
     * @param  array<int, string>  $before  of steps in line: what each waits for, by task; "" where it is the next one
     * @param  array<int, int>  $chances  % to be in time, by task
     * @param  Collection<int, Candidate>  $unweighed  the first of them
     * @param  Collection<int, Task>  $tasks  by id
     * @param  Collection<int, Area>  $areas
     * @param  Collection<int, string>  $projects  names by id
     * @param  Collection<string, Collection<int, Candidate>>  $groups  by name
     */
    public function __construct(
        public array $before,
        public array $chances,
        public User $user,
        public CarbonImmutable $now,
        public Collection $unweighed,
        public int $unweighedCount,
        public int $weighedCount,
        public int $shown,
        public Collection $tasks,
        public string $group,
        public Collection $areas,
        public Collection $projects,
        public Collection $groups,
    ) {}
}
