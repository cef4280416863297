<?php

declare(strict_types=1);

namespace Nekto\Core\Ledger;

/** Chances that were said, in four groups, against what came in time. */
final readonly class Calibration
{
    /** Groups by their least percent. */
    private const FROM = [90, 70, 45, 0];

    /**
     * @param  int  $percent  the mean of what was said
     * @param  int  $kept  came in time
     * @param  int  $all  statements
     */
    private function __construct(public int $percent, public int $kept, public int $all) {}

    /** What must have come in time for the chances to have been right, to the nearest whole. */
    public function due(): int
    {
        return (int) round($this->all * $this->percent / 100);
    }

    /**
     * @param  list<array{int, bool}>  $said  percent, and whether it came in time
     * @return list<self> the surest first; empty groups are left out
     */
    public static function of(array $said): array
    {
        $groups = [];
        foreach ($said as [$percent, $kept]) {
            foreach (self::FROM as $i => $from) {
                if ($percent >= $from) {
                    $groups[$i][] = [$percent, $kept];

                    break;
                }
            }
        }
        ksort($groups);

        return array_values(array_map(static fn (array $some): self => new self((int) round(array_sum(array_column($some, 0)) / count($some)), count(array_filter(array_column($some, 1))), count($some)), $groups));
    }
}
