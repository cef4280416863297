<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Block;
use App\Models\PlanRevision;
use App\Models\Task;
use App\Rows\WorkTime;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as BaseCollection;

/** What a change did while it was tried. */
final readonly class Tried
{
    /**
     * @param  PlanRevision|null  $revision  null: nothing changed
     * @param  WorkTime  $time  of the day that is looked at, as it would be
     * @param  Collection<int, Block>  $blocks  of that day, as they would be, with tasks and areas
     * @param  BaseCollection<int, Task>  $untimed  picked for that day and without a time on it, as it would be
     * @param  array<int, int>  $ends  when the last block of each task that moved would end, by task id
     */
    public function __construct(public ?PlanRevision $revision, public WorkTime $time, public Collection $blocks, public BaseCollection $untimed, public array $ends) {}
}
