<?php

declare(strict_types=1);

namespace Nekto\Core\Pressure;

use Nekto\Core\Time\Timeline;

/** The due work of one set of hours against its open time: answers for any due date in O(log n). */
final readonly class DemandCurve
{
    /** @var list<int> due moments, ascending */
    private array $dues;

    /** @var array<int, int> minutes due by the first n of them */
    private array $demand;

    /**
     * @param  list<array{int, int}>  $work  due moment and remaining minutes (anchored ones left out) of each dated task
     * @param  Timeline  $open  open time: hours − busy time − anchored blocks − breaks
     */
    public function __construct(array $work, private Timeline $open, private int $now)
    {
        usort($work, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $dues = [];
        $demand = [0];
        $sum = 0;
        foreach ($work as [$due, $minutes]) {
            $dues[] = $due;
            $demand[] = $sum += $minutes;
        }
        $this->dues = $dues;
        $this->demand = $demand;
    }

    public function at(int $due): DueDemand
    {
        $low = 0;
        $high = count($this->dues);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $this->dues[$middle] <= $due ? $low = $middle + 1 : $high = $middle;
        }

        return new DueDemand($this->demand[$low], $this->open->minutesBetween($this->now, $due));
    }
}
