<?php

declare(strict_types=1);

namespace Nekto\Core\Estimate;

use Nekto\Core\Prospect\Ratios;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\Grid;

/**
 * A guess at what remains of a task that has run past its estimate: the median of what remained, at the same share of
 * their estimate, of those past tasks that ran at least as far. Where these are few it is drawn toward a prior that knows
 * no scale – work that has run this far goes on in proportion to it (a Pareto tail of index 3) – as if that had brought
 * five tasks of its own (shrinkage as in Correction).
 */
final readonly class Remaining
{
    private const PRIOR = 5;

    /** Half of what has run so far ends before this many times as much: the cube root of 2. */
    private const PRIOR_FACTOR = 1.26;

    /** @param  int  $tasks  past ones that ran as far, of the narrowest kind that has enough of them */
    private function __construct(public int $minutes, public int $tasks) {}

    /**
     * @param  list<Pair>  $past
     * @param  int  $estimate  minutes, at least 1
     * @param  int  $worked  minutes in all, at least 1
     */
    public static function guess(array $past, string $area, Demand $demand, int $estimate, int $worked): self
    {
        $ran = $worked / $estimate;
        $kinds = [
            static fn (Pair $pair): bool => $pair->ratio() > $ran && $pair->area === $area && $pair->demand === $demand,
            static fn (Pair $pair): bool => $pair->ratio() > $ran && $pair->area === $area,
            static fn (Pair $pair): bool => $pair->ratio() > $ran,
        ];
        $remained = [];
        foreach ($kinds as $belongs) {
            $remained = array_map(static fn (Pair $pair): float => ($pair->ratio() - $ran) * $estimate, array_values(array_filter($past, $belongs)));
            if (count($remained) >= Correction::LEAST) {
                break;
            }
        }
        $count = count($remained);
        $prior = log(max(1.0, (self::PRIOR_FACTOR - 1) * $worked));
        $own = $count === 0 ? 0.0 : log(max(1.0, (new Ratios($remained))->at(0.5)));

        return new self(max(Grid::STEP, Grid::up((int) round(exp(($count * $own + self::PRIOR * $prior) / ($count + self::PRIOR))))), $count);
    }
}
