<?php

declare(strict_types=1);

namespace Nekto\Core\Day;

use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Task;

/** How full days are with blocks that may move: minutes by set of hours and deep minutes, against what each day has left for such. */
final class DayFill
{
    /** @var array<string, array<int, int>> minutes by set of hours and day */
    private array $planned = [];

    /** @var array<int, int> deep minutes by day */
    private array $deep = [];

    /**
     * @param  array<array<int, int>>  $lines  minutes under the load lines, by set of hours and day
     * @param  array<int, int>  $deepLimits  minutes under the deep limit, by day
     */
    public function __construct(private readonly PlanningProblem $problem, private readonly array $lines, private readonly array $deepLimits) {}

    /** @param  int  $sign  1: it comes, −1: it goes */
    public function count(Block $block, Task $task, int $start, int $sign = 1): void
    {
        if ($block->anchored) {
            return;
        }
        $day = $this->problem->zone->dayOf($start)->number;
        $minutes = $sign * $block->time->length();
        $this->planned[$task->hours][$day] = ($this->planned[$task->hours][$day] ?? 0) + $minutes;
        $task->demand === Demand::Deep && $this->deep[$day] = ($this->deep[$day] ?? 0) + $minutes;
    }

    /** Minutes over the load lines of a day, all sets together. */
    public function overLine(int $day): int
    {
        $over = 0;
        foreach ($this->planned as $set => $days) {
            $over += max(0, ($days[$day] ?? 0) - ($this->lines[$set][$day] ?? 0));
        }

        return $over;
    }

    /** Minutes over the deep limit of a day. */
    public function overDeep(int $day): int
    {
        return max(0, ($this->deep[$day] ?? 0) - ($this->deepLimits[$day] ?? 0));
    }

    public function isOver(int $day): bool
    {
        return $this->overLine($day) > 0 || $this->overDeep($day) > 0;
    }

    /** True if so many minutes more leave the day under its line and limit. */
    public function hasRoom(Task $task, int $day, int $minutes): bool
    {
        return ($this->planned[$task->hours][$day] ?? 0) + $minutes <= ($this->lines[$task->hours][$day] ?? 0)
            && ($task->demand !== Demand::Deep || ($this->deep[$day] ?? 0) + $minutes <= ($this->deepLimits[$day] ?? 0));
    }
}
