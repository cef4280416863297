<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Day\WeekCandidate;
use Nekto\Core\Day\WeekProposal;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Work spread over the days of a week. */
final class WeekProposalTest extends TestCase
{
    use TestTrait;

    private const DAYS = [1 => 240, 2 => 240, 3 => 240];

    #[Test]
    public function what_is_due_comes_first_and_what_lies_somewhere_stays_there(): void
    {
        $week = new WeekProposal([
            new WeekCandidate('report', 300, true, 20, 'day', due: 2),
            new WeekCandidate('calls', 60, false, 90, 'day'),
            new WeekCandidate('map', 90, false, 50, 'day', planned: 3),
            new WeekCandidate('essay', 600, true, 80, 'day'),
        ], ['day' => self::DAYS], [1 => 180, 2 => 180, 3 => 180]);

        // The report takes the deep time of the first two days; of the essay two hours are thought of, in one piece.
        self::assertSame(['report' => [1 => 180, 2 => 120], 'calls' => [1 => 60], 'essay' => [3 => 120], 'map' => [3 => 90]], self::sorted($week->parts));
        self::assertSame([[1 => 0, 2 => 120, 3 => 30], [1 => 0, 2 => 60, 3 => 60]], [$week->room['day'], $week->deepRoom]);
    }

    #[Test]
    public function what_is_chosen_stands_and_the_rest_goes_around_it(): void
    {
        $candidates = [new WeekCandidate('a', 120, false, 10, 'day'), new WeekCandidate('b', 120, false, 90, 'day'), new WeekCandidate('c', 120, false, 50, 'day')];
        $week = new WeekProposal($candidates, ['day' => [1 => 120, 2 => 120, 3 => 0]], [1 => 240, 2 => 240, 3 => 240], ['a' => 1, 'c' => null]);
        self::assertSame(['a' => [1 => 120], 'b' => [2 => 120], 'c' => []], self::sorted($week->parts));
        $over = new WeekProposal($candidates, ['day' => [1 => 120, 2 => 120, 3 => 0]], [1 => 240, 2 => 240, 3 => 240], ['a' => 3]);
        self::assertSame([[3 => 120], -120], [$over->parts['a'], $over->room['day'][3]], 'a day may be over where the person wants that');
    }

    #[Test]
    public function what_must_be_done_has_a_day_though_it_is_over_by_it(): void
    {
        $week = new WeekProposal([new WeekCandidate('late', 90, false, 10, 'day', due: -4), new WeekCandidate('big', 500, false, 10, 'day', due: 2)], ['day' => self::DAYS], [1 => 0, 2 => 0, 3 => 0]);
        self::assertSame([[1 => 90], [1 => 150, 2 => 350]], [$week->parts['late'], $week->parts['big']]);
        self::assertSame(-110, $week->room['day'][2]);
    }

    /** Only what is due or chosen can make a day be over; sums are sums; nothing is later than its date or before it may begin. */
    #[Test]
    public function proposed_days_fit(): void
    {
        $one = Generators::tuple(Generators::choose(5, 500), Generators::bool(), Generators::choose(0, 100), Generators::choose(-2, 9), Generators::choose(0, 8));
        $this->limitTo(Runs::of(200))->forAll(Generators::vector(9, $one), Generators::vector(5, Generators::choose(0, 400)), Generators::vector(5, Generators::choose(0, 240)))->disableShrinking()->then(function (array $drawn, array $lines, array $deep): void {
            $candidates = array_map(static fn (array $some, int $i): WeekCandidate => new WeekCandidate("t{$i}", $some[0], $some[1], $some[2], 'day', $some[3] > 6 ? null : $some[3], $some[4] > 4 ? $some[4] - 4 : null, $some[4] < 4 ? $some[4] : null), $drawn, array_keys($drawn));
            $week = new WeekProposal($candidates, ['day' => $lines], $deep);
            $forced = false;
            $firstOpen = array_key_first(array_filter($lines)) ?? 0;
            foreach ($candidates as $one) {
                $parts = $week->parts[$one->id];
                $isDue = $one->due !== null && $one->due <= 4;
                self::assertLessThanOrEqual($one->minutes, array_sum($parts));
                $isDue && self::assertSame($one->minutes, array_sum($parts), 'what is due has all of its time');
                $isDue || self::assertLessThanOrEqual(WeekProposal::SHARE, array_sum($parts));
                foreach (array_keys($parts) as $day) {
                    $isDue && ($one->from ?? 0) <= $one->due && self::assertLessThanOrEqual(max($firstOpen, $one->due), $day);
                    $isDue || self::assertGreaterThanOrEqual($one->from ?? 0, $day);
                }
                $forced = $forced || $isDue;
            }
            foreach ($forced ? [] : $week->room['day'] as $day => $room) {
                self::assertGreaterThanOrEqual(0, $room);
                self::assertGreaterThanOrEqual(0, $week->deepRoom[$day]);
            }
            foreach (array_keys($deep) as $day) {
                $taken = array_sum(array_map(static fn (array $parts): int => $parts[$day] ?? 0, $week->parts));
                self::assertSame($lines[$day] - $taken, $week->room['day'][$day]);
            }
        });
    }

    /**
     * @param  array<array<int, int>>  $parts
     * @return array<array<int, int>>
     */
    private static function sorted(array $parts): array
    {
        uasort($parts, static fn (array $a, array $b): int => [$a === [] ? 99 : array_key_first($a)] <=> [$b === [] ? 99 : array_key_first($b)]);

        return $parts;
    }
}
