<?php

declare(strict_types=1);

namespace Nekto\Core\Goals;

/** Where a goal's measure stood at each moment. Moments are minutes since 1970-01-01T00:00Z. */
final readonly class Measure
{
    /** @var list<array{int, float}> by moment */
    private array $said;

    /**
     * @param  list<array{int, float}>  $said  since when, and how much
     * @param  bool  $adds  each adds to what was; else each says where it stands from then on
     */
    public function __construct(array $said, private bool $adds)
    {
        usort($said, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $this->said = $said;
    }

    /** @param  int  $since  what was before does not count: the beginning of a week for a weekly measure, of the cycle else */
    public function at(int $moment, int $since): float
    {
        $value = 0.0;
        foreach ($this->said as [$at, $amount]) {
            if ($at <= $moment && $at >= $since) {
                $value = $this->adds ? $value + $amount : $amount;
            }
        }

        return round($value, 2);
    }
}
