<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Promises;

/** One of the times a habit is done in a week. */
final readonly class HabitTime
{
    /**
     * @param  non-empty-list<int>  $days  numbers of the local days it may be done on
     * @param  int  $time  0 for the first of the week
     * @param  int  $of  so many times
     */
    public function __construct(public string $habit, public array $days, private int $time, private int $of) {}

    /**
     * @param  list<int>  $days
     * @return list<int> the day that spreads the times evenly over the week first, then its neighbours
     */
    public function sorted(array $days): array
    {
        $count = count($this->days);
        $ideal = $this->days[min($count - 1, intdiv((2 * $this->time + 1) * $count, 2 * $this->of))];
        usort($days, static fn (int $a, int $b): int => [abs($a - $ideal), $a] <=> [abs($b - $ideal), $b]);

        return $days;
    }
}
