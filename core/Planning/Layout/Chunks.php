<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Layout;

use Nekto\Core\Task\Task;

/** How a task's minutes may be divided into blocks, drawn in to the step. */
final readonly class Chunks
{
    public int $least;

    public int $most;

    /** False if no division of the minutes keeps both limits, such as 100 min in blocks of 60 to 90. */
    private bool $divisible;

    /** @param  int  $minutes  to be divided, at least one step */
    public function __construct(Task $task, public int $minutes, private int $step)
    {
        $least = min($task->minChunk, $minutes);
        $this->least = intdiv($least + $step - 1, $step) * $step;
        $this->most = intdiv($task->maxChunk, $step) * $step;
        $this->divisible = $this->divides($minutes);
    }

    /**
     * The longest next block of at most $room minutes out of $left, such that the rest can still be divided; 0 if none.
     */
    public function next(int $left, int $room): int
    {
        $take = min($left, $room, $this->most);
        if ($take < $this->least) {
            return 0;
        }
        if ($take === $left || ! $this->divisible) {
            return $take;
        }
        $take = min($take, $left - $this->least);
        while ($take >= $this->least && ! $this->divides($left - $take)) {
            $take -= $this->step;
        }

        return $take >= $this->least ? $take : 0;
    }

    private function divides(int $minutes): bool
    {
        return $this->most >= $this->least && intdiv($minutes + $this->most - 1, $this->most) * $this->least <= $minutes;
    }
}
