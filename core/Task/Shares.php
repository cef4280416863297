<?php

declare(strict_types=1);

namespace Nekto\Core\Task;

/**
 * How a task's minutes spread over its steps: a step has what was said of it; those of which nothing was said share what
 * the task's own estimate leaves.
 */
final readonly class Shares
{
    /** @var list<int> minutes of each step, in their order */
    public array $minutes;

    /** Minutes of all steps of which something was said. */
    public int $said;

    /** Minutes that are not done. */
    public int $left;

    /**
     * @param  int|null  $estimate  minutes of the whole task; null: nobody said
     * @param  list<array{int|null, bool}>  $steps  minutes that were said, and whether it is done
     */
    public function __construct(?int $estimate, array $steps)
    {
        $this->said = array_sum(array_map(static fn (array $step): int => (int) $step[0], $steps));
        $silent = array_keys(array_filter($steps, static fn (array $step): bool => $step[0] === null));
        $rest = max(0, (int) $estimate - $this->said);
        $minutes = array_map(static fn (array $step): int => (int) $step[0], $steps);
        foreach ($silent as $place => $i) { // whole minutes that add up: the first get one more
            $minutes[$i] = intdiv($rest, count($silent)) + ($place < $rest % count($silent) ? 1 : 0);
        }
        $this->minutes = array_values($minutes);
        $done = array_sum(array_map(static fn (array $step, int $share): int => $step[1] ? $share : 0, $steps, $this->minutes));
        $this->left = max(array_sum($minutes), (int) $estimate) - $done;
    }
}
