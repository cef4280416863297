<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Plan\Breaks;
use Nekto\Core\Planning\Layout\BreakTimes;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

final class BreakTimesTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function a_stretch_gets_a_rest_after_so_much_work_and_none_at_its_end(): void
    {
        self::assertSame([[90, 100], [190, 200]], self::rests(90, 10, [[0, 290]]));
        self::assertSame([], self::rests(90, 10, [[0, 90]]));
        self::assertSame([[90, 95]], self::rests(90, 10, [[0, 95]]), 'what is left of the stretch is no more than a rest');
    }

    #[Test]
    public function minutes_off_the_grid_make_work_shorter_and_rests_longer(): void
    {
        self::assertSame([[85, 95]], self::rests(88, 7, [[0, 120]]));
    }

    #[Test]
    public function a_rest_lies_before_a_fixed_block_or_behind_it_if_there_is_no_work_before_it(): void
    {
        self::assertSame([[75, 85], [175, 185]], self::rests(90, 10, [[0, 200]], [[85, 120]]), 'worked in any case from 85 on');
        self::assertSame([[120, 130]], self::rests(90, 10, [[0, 200]], [[0, 120]]));
    }

    #[Test]
    public function no_rest_lies_in_fixed_work_and_without_such_no_work_in_a_row_is_longer_than_wanted(): void
    {
        $some = Generators::vector(4, Generators::tuple(Generators::choose(0, 60), Generators::choose(1, 50)));
        $this->limitTo(Runs::of(200))->forAll($some, $some, Generators::choose(2, 24), Generators::choose(1, 6))->then(
            function (array $stretches, array $blocks, int $after, int $minutes): void {
                $open = self::set(array_map(static fn (array $one): array => [5 * $one[0], 5 * ($one[0] + $one[1])], $stretches));
                $fixed = self::set(array_map(static fn (array $one): array => [5 * $one[0], 5 * $one[0] + 5], $blocks))->intersection($open);
                $rests = (new BreakTimes(new Breaks(5 * $after, 5 * $minutes), 5))->within($open, $fixed);

                self::assertSame(0, $rests->intersection($fixed)->length());
                self::assertSame(0, $rests->without($open)->length());
                foreach ($open->without($rests)->intervals as $run) {
                    if ($fixed->between($run->start, $run->end)->isEmpty()) {
                        self::assertLessThanOrEqual(5 * $after, $run->length());
                    }
                }
            },
        );
    }

    /**
     * @param  list<array{int, int}>  $stretches
     * @param  list<array{int, int}>  $fixed
     * @return list<array{int, int}>
     */
    private static function rests(int $after, int $minutes, array $stretches, array $fixed = []): array
    {
        $rests = (new BreakTimes(new Breaks($after, $minutes), 5))->within(self::set($stretches), self::set($fixed));

        return array_map(static fn (Interval $rest): array => [$rest->start, $rest->end], $rests->intervals);
    }

    /** @param  list<array{int, int}>  $intervals */
    private static function set(array $intervals): IntervalSet
    {
        return IntervalSet::covering(...array_map(static fn (array $one): Interval => new Interval(...$one), $intervals));
    }
}
