<?php

declare(strict_types=1);

namespace Nekto\Core\Ledger;

use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;

/** Where the hours went: work and meetings within them, and what lies between things. Whatever lies in two counts once. */
final readonly class Between
{
    /**
     * @param  int  $hours  minutes, lunch left out
     * @param  int  $accounted  of work and meetings within them
     * @param  int  $between  what is left of them: hours = accounted + between
     * @param  int  $outside  of work and meetings at other times, lunch among them
     * @param  int  $twice  of work and meetings at once: their sums = accounted + outside + twice
     */
    private function __construct(public int $hours, public int $accounted, public int $between, public int $outside, public int $twice) {}

    public static function of(IntervalSet $hours, Interval ...$stretches): self
    {
        $accounted = IntervalSet::covering(...$stretches);
        $within = $hours->intersection($accounted)->length();
        $sum = array_sum(array_map(static fn (Interval $one): int => $one->length(), $stretches));

        return new self($hours->length(), $within, $hours->length() - $within, $accounted->length() - $within, $sum - $accounted->length());
    }
}
