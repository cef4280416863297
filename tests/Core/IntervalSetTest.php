<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generator;
use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\Timeline;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Set arithmetic, compared with the same done minute by minute. */
final class IntervalSetTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function union_intersection_and_difference_agree_with_lists_of_minutes(): void
    {
        $this->forAll(self::sets(), self::sets())->then(function (IntervalSet $a, IntervalSet $b): void {
            self::assertSame(self::sorted(array_unique([...self::minutes($a), ...self::minutes($b)])), self::minutes($a->union($b)));
            self::assertSame(array_values(array_intersect(self::minutes($a), self::minutes($b))), self::minutes($a->intersection($b)));
            self::assertSame(array_values(array_diff(self::minutes($a), self::minutes($b))), self::minutes($a->without($b)));
        });
    }

    #[Test]
    public function whatever_is_done_leaves_sorted_intervals_that_neither_touch_nor_overlap(): void
    {
        $this->forAll(self::sets(), self::sets())->then(function (IntervalSet $a, IntervalSet $b): void {
            foreach ([$a->union($b), $a->intersection($b), $a->without($b)] as $set) {
                self::assertEquals(IntervalSet::covering(...$set->intervals), $set);
            }
        });
    }

    #[Test]
    public function minutes_between_are_counted_as_one_would_by_hand(): void
    {
        $this->forAll(self::sets(), Generators::choose(0, 90), Generators::choose(0, 90))->then(function (IntervalSet $set, int $start, int $end): void {
            $expected = count(array_filter(self::minutes($set), static fn (int $minute): bool => $minute >= $start && $minute < $end));
            self::assertSame($expected, $set->minutesBetween($start, $end));
            self::assertSame($expected, $set->between($start, $end)->length());
            self::assertSame($expected, (new Timeline($set))->minutesBetween($start, $end));
        });
    }

    #[Test]
    public function empty_sets_are_no_special_case(): void
    {
        $some = IntervalSet::covering(new Interval(5, 10));

        self::assertEquals($some, IntervalSet::empty()->union($some));
        self::assertTrue($some->without($some)->isEmpty());
        self::assertTrue($some->between(10, 5)->isEmpty());
        self::assertSame(0, (new Timeline(IntervalSet::empty()))->position(100));
    }

    /** @return Generator<IntervalSet> */
    private static function sets(): Generator
    {
        return Generators::map(
            static fn (array $pairs): IntervalSet => IntervalSet::covering(...array_map(
                static fn (array $pair): Interval => new Interval($pair[0], $pair[0] + $pair[1]),
                $pairs,
            )),
            Generators::vector(4, Generators::tuple(Generators::choose(0, 60), Generators::choose(1, 15))),
        );
    }

    /** @return list<int> */
    private static function minutes(IntervalSet $set): array
    {
        $minutes = [];
        foreach ($set->intervals as $interval) {
            array_push($minutes, ...range($interval->start, $interval->end - 1));
        }

        return $minutes;
    }

    /**
     * @param  array<int>  $minutes
     * @return list<int>
     */
    private static function sorted(array $minutes): array
    {
        sort($minutes);

        return $minutes;
    }
}
