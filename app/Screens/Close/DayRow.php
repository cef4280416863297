<?php

declare(strict_types=1);

namespace App\Screens\Close;

use App\Models\Area;
use App\Models\Task;

/** A line of the day's account: one task. */
final readonly class DayRow
{
    /**
     * @param  int  $planned  minutes, as $actual
     */
    public function __construct(
        public Task $task,
        public Area $area,
        public int $planned,
        public int $actual,
        public DayState $state,
    ) {}
}
