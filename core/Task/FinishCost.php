<?php

declare(strict_types=1);

namespace Nekto\Core\Task;

/** What it costs that a task is finished at some moment: the one formula of the objective, see bench/README.md. */
final class FinishCost
{
    /**
     * @param  int  $weight  of each minute until it is finished, in twentieths of a minute
     * @param  int  $lateness  of each minute after it was due, in twentieths of a minute
     * @param  int  $due  PHP_INT_MAX for none
     * @return int twentieths of a minute, so that it is exact
     */
    public static function of(int $weight, int $lateness, int $due, int $now, int $finish): int
    {
        return $weight * ($finish - $now) + ($finish > $due ? $lateness * ($finish - $due) : 0);
    }
}
