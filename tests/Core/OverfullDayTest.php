<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Day\DayCandidate;
use Nekto\Core\Day\OverfullDay;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

final class OverfullDayTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function a_day_under_its_line_needs_no_way_out(): void
    {
        self::assertNull(OverfullDay::of([self::candidate('a', 60, 50)], fixed: 180, fixedDeep: 0, loadLine: 240, deepLimit: 240, marginPercent: 20));
    }

    #[Test]
    public function the_least_pull_that_brings_it_under_the_line_can_wait(): void
    {
        $day = self::over([self::candidate('due', 40, 80), self::candidate('plan', 60, 42), self::candidate('list', 40, 30), self::candidate('reply', 15, 28)], fixed: 145);

        self::assertSame(60, $day->over);
        self::assertSame(['plan'], array_column($day->waiting, 'id'), '42 of pull is less than 30 and 28 together');
        self::assertSame([42, 180], [$day->pullLeft, $day->pull]);
    }

    #[Test]
    public function what_is_due_stays_while_anything_else_can_go(): void
    {
        $day = self::over([self::candidate('due', 60, 5, picked: true), self::candidate('plan', 60, 90)], fixed: 180);

        self::assertSame(['plan'], array_column($day->waiting, 'id'));
    }

    #[Test]
    public function the_extra_hours_carry_their_own_margin(): void
    {
        $day = self::over([self::candidate('plan', 60, 42)], fixed: 240);

        self::assertSame(75, $day->longer, '60 minutes are 80 % of 75');
        self::assertNull(OverfullDay::of([self::candidate('plan', 60, 42)], 240, 0, 240, 240, 100)?->longer);
    }

    #[Test]
    public function the_one_to_cut_has_the_least_pull_of_those_that_can_bear_it(): void
    {
        $day = self::over([self::candidate('short', 30, 1), self::candidate('long', 120, 40), self::candidate('longer', 150, 60)], fixed: 0);

        self::assertSame(60, $day->over);
        self::assertSame('long', $day->cut?->id);
        self::assertSame(60, $day->cutBy());
        self::assertNull(self::over([self::candidate('a', 60, 1), self::candidate('b', 60, 1)], fixed: 240)->cut, 'nothing can be halved so far');
    }

    #[Test]
    public function whatever_waits_the_rest_fits_and_nothing_waits_in_vain(): void
    {
        $this->forAll(Generators::seq(Generators::tuple(Generators::choose(1, 24), Generators::choose(0, 100))), Generators::choose(0, 300), Generators::choose(0, 480))
            ->then(static function (array $drawn, int $fixed, int $line): void {
                $candidates = [];
                foreach ($drawn as $i => [$steps, $pull]) {
                    $candidates[] = self::candidate("t{$i}", 5 * $steps, $pull);
                }
                $minutes = $fixed + array_sum(array_map(static fn (DayCandidate $one): int => $one->minutes, $candidates));
                $day = OverfullDay::of($candidates, $fixed, 0, $line, 1440, 20);
                if ($minutes <= $line) {
                    self::assertNull($day);

                    return;
                }
                self::assertNotNull($day);
                self::assertSame($minutes - $line, $day->over);
                $left = $minutes - array_sum(array_map(static fn (DayCandidate $one): int => $one->minutes, $day->waiting));
                self::assertTrue($left <= $line || count($day->waiting) === count($candidates), 'the rest fits, unless nothing is left to take away');
                foreach ($day->waiting as $one) {
                    self::assertTrue($one->pull === 0 || $left + $one->minutes > $line - 4, 'it could have stayed'); // steps of five minutes
                }
            });
    }

    private static function candidate(string $id, int $minutes, int $pull, bool $picked = false): DayCandidate
    {
        return new DayCandidate($id, $minutes, $pull, picked: $picked);
    }

    /** @param  list<DayCandidate>  $candidates */
    private static function over(array $candidates, int $fixed): OverfullDay
    {
        return OverfullDay::of($candidates, $fixed, 0, 240, 240, 20) ?? self::fail('The day is over its line.');
    }
}
