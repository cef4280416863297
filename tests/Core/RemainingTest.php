<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Estimate\Pair;
use Nekto\Core\Estimate\Remaining;
use Nekto\Core\Task\Demand;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

final class RemainingTest extends TestCase
{
    #[Test]
    public function without_history_a_quarter_of_what_has_run_remains(): void
    {
        $guess = Remaining::guess([], 'Exhibition', Demand::Deep, 60, 100);

        self::assertSame([30, 0], [$guess->minutes, $guess->tasks], '26 of 100, whole steps');
    }

    #[Test]
    public function with_much_history_the_median_of_what_remained_decides(): void
    {
        $past = array_map(static fn (int $i): Pair => new Pair('Exhibition', Demand::Deep, 60, 60 + 6 * $i), range(1, 99));
        $guess = Remaining::guess($past, 'Exhibition', Demand::Deep, 60, 90);

        // ratios from 1.1 to 10.9; beyond 1.5 half end before 6.25: 4.75 times 60 are 285, a little of the prior
        self::assertSame(94, $guess->tasks);
        self::assertGreaterThan(230, $guess->minutes);
        self::assertLessThan(286, $guess->minutes);
    }

    #[Test]
    public function only_what_ran_as_far_counts_and_the_nearest_kind_first(): void
    {
        $short = array_fill(0, 20, new Pair('Exhibition', Demand::Deep, 60, 30));
        $own = array_fill(0, 6, new Pair('Exhibition', Demand::Deep, 60, 70));
        $others = array_fill(0, 50, new Pair('Home', Demand::Light, 60, 300));

        self::assertSame(6, Remaining::guess([...$short, ...$own, ...$others], 'Exhibition', Demand::Deep, 60, 60)->tasks);
        self::assertLessThanOrEqual(15, Remaining::guess([...$short, ...$own, ...$others], 'Exhibition', Demand::Deep, 60, 60)->minutes);
        self::assertSame(50, Remaining::guess([...$short, ...$own, ...$others], 'Exhibition', Demand::Deep, 60, 80)->tasks);
    }
}
