<?php

declare(strict_types=1);

namespace Nekto\Core\Estimate;

use Nekto\Core\Prospect\Ratios;
use Nekto\Core\Task\Demand;

/**
 * What an estimate should be multiplied by, learned from what past estimates and actual times were. Kinds of work with
 * few pairs lean on the wider kind they belong to: the logarithm of each quantile is drawn toward the wider one as if
 * that had brought five pairs of its own (shrinkage as in B. Efron and C. Morris, "Data analysis using Stein's
 * estimator", JASA 70, 1975). The widest kind leans on the belief that estimates are right.
 */
final readonly class Correction
{
    /** From fewer pairs nothing is said without saying so. */
    public const LEAST = 5;

    private const PRIOR = 5;

    /**
     * @param  float  $median  half of such work takes no longer than this times its estimate
     * @param  float  $careful  eight of ten do (80th percentile)
     * @param  int  $pairs  of the kind that the basis names; with too few, of all work
     */
    private function __construct(public float $median, public float $careful, public int $pairs, public Basis $basis) {}

    /**
     * @param  list<Pair>  $past
     * @param  int  $minutes  of the estimate that is to be corrected
     */
    public static function of(array $past, string $area, Demand $demand, int $minutes): self
    {
        $size = Size::of($minutes);
        $kinds = [
            [Basis::AllWork, static fn (Pair $pair): bool => true],
            [Basis::Area, static fn (Pair $pair): bool => $pair->area === $area],
            [Basis::AreaAndDemand, static fn (Pair $pair): bool => $pair->area === $area && $pair->demand === $demand],
            [Basis::AreaDemandAndSize, static fn (Pair $pair): bool => $pair->area === $area && $pair->demand === $demand && $pair->size() === $size],
        ];
        $found = new self(1.0, 1.0, count($past), Basis::TooFew);
        foreach ($kinds as [$basis, $belongs]) {
            $ratios = array_map(static fn (Pair $pair): float => $pair->ratio(), array_values(array_filter($past, $belongs)));
            $count = count($ratios);
            if ($count === 0) {
                break;
            }
            $seen = new Ratios($ratios);
            $found = new self(
                self::drawn($seen->at(0.5), $found->median, $count),
                self::drawn($seen->at(0.8), $found->careful, $count),
                $count < self::LEAST ? $found->pairs : $count,
                $count < self::LEAST ? $found->basis : $basis,
            );
        }

        return $found;
    }

    /** False: from so few pairs that it must be said. */
    public function isReliable(): bool
    {
        return $this->basis !== Basis::TooFew;
    }

    /** Minutes that such work will likely take. */
    public function likely(int $estimate): int
    {
        return max(1, (int) round($estimate * $this->median));
    }

    /** Minutes that eight of ten such tasks stay within. */
    public function carefully(int $estimate): int
    {
        return max(1, (int) round($estimate * $this->careful));
    }

    private static function drawn(float $own, float $wider, int $count): float
    {
        return exp(($count * log($own) + self::PRIOR * log($wider)) / ($count + self::PRIOR));
    }
}
