<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\DayUse;
use Nekto\Core\Planning\Layout\FreeTime;
use Nekto\Core\Planning\Layout\FreeWindows;
use Nekto\Core\Planning\Layout\Timetable;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** What FreeWindows and DayUse say of themselves always holds, whatever is placed, kept and given back. */
final class TimetableTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function free_time_and_taken_time_are_all_the_time_there_is(): void
    {
        $this->limitTo(Runs::of(120))->forAll(Generators::choose(1, 1_000_000), Generators::vector(12, Generators::choose(0, 99)))->then(function (int $seed, array $steps): void {
            $compiled = self::compiled($seed);
            $table = new Timetable($compiled);
            $taken = [];
            foreach ($steps as $n => $step) {
                $task = $step % count($compiled->ids);
                if (isset($taken[$task])) {
                    if ($n % 2 === 0) {
                        $table->giveBack($task);
                        unset($taken[$task]);
                    }
                } elseif ($table->placeWithin($task, $compiled->problem->now, $compiled->problem->end)) {
                    $taken[$task] = $table->keptOf($task);
                }
                self::check($compiled, $table->room->free, $taken);
            }
        });
    }

    #[Test]
    public function no_day_gets_more_than_its_limits(): void
    {
        $this->limitTo(Runs::of(120))->forAll(Generators::choose(1, 1_000_000), Generators::choose(2, 40))->then(function (int $seed, int $most): void {
            $compiled = self::compiled($seed, new DayLimit(5 * $most));
            $table = new Timetable($compiled);
            $days = [];
            foreach ($compiled->sorted() as $task) {
                $table->placeWhole($task);
                foreach ($table->laid as [$start, $end]) {
                    $day = $compiled->problem->zone->dayOf($start)->number;
                    $days[$day] = ($days[$day] ?? 0) + $end - $start;
                }
            }

            self::assertLessThanOrEqual(5 * $most, max([0, ...$days]));
        });
    }

    #[Test]
    public function what_fits_into_all_days_is_never_more_than_is_said(): void
    {
        $this->limitTo(Runs::of(100))->forAll(Generators::choose(1, 1_000_000), Generators::vector(10, Generators::choose(1, 200)))->then(function (int $seed, array $minutes): void {
            $compiled = self::compiled($seed, new DayLimit(187));
            $use = new DayUse($compiled->lanes, $compiled->problem->step);
            foreach ($minutes as $n => $some) {
                $lane = $n % count($compiled->lanes->set);
                $day = array_keys($compiled->lanes->dayLimit)[$some % count($compiled->lanes->dayLimit)];
                $use->add($lane, $day, $n % 2 === 0, min($some, $use->room($lane, $day, $n % 2 === 0)));
                foreach ([true, false] as $isDeep) {
                    $rooms = array_map(static fn (int $one): int => min(1 << 40, $use->room($lane, $one, $isDeep)), array_keys($compiled->lanes->dayLimit));
                    self::assertGreaterThanOrEqual(array_sum($rooms), $use->most($lane, $isDeep));
                }
            }
        });
    }

    /** @param  array<int, list<array{int, int}>>  $taken  by task */
    private static function check(Compiled $compiled, FreeWindows $free, array $taken): void
    {
        $lanes = $compiled->lanes;
        foreach ($free->starts as $lane => $starts) {
            self::assertSame([count($starts), count($starts)], [count($free->ends[$lane]), count($free->days[$lane])]);
            $open = self::minutes($lanes->starts[$lane], $lanes->ends[$lane]);
            foreach ($taken as $task => $times) {
                if (isset($lanes->with[$lane][$compiled->lane[$task]])) {
                    $open = array_diff_key($open, self::minutes(array_column($times, 0), array_column($times, 1)));
                }
            }
            self::assertEqualsCanonicalizing(array_keys($open), array_keys(self::minutes($starts, $free->ends[$lane])), "lane {$lane}");
            for ($i = 0; $i < count($starts); $i++) {
                self::assertLessThanOrEqual($free->ends[$lane][$i], $starts[$i]);
                self::assertTrue($i === 0 || $free->ends[$lane][$i - 1] <= $starts[$i] || $starts[$i] === $free->ends[$lane][$i], 'in order and apart');
            }
        }
    }

    /**
     * @param  array<int, int>  $starts
     * @param  array<int, int>  $ends
     * @return array<int, true> every fifth minute from each start to each end
     */
    private static function minutes(array $starts, array $ends): array
    {
        $minutes = [];
        foreach ($starts as $i => $start) {
            for ($at = $start; $at < $ends[$i]; $at += 5) {
                $minutes[$at] = true;
            }
        }

        return $minutes;
    }

    private static function compiled(int $seed, ?DayLimit $limit = null): Compiled
    {
        $problem = RandomProblem::of($seed);
        $problem = $limit === null ? $problem : $problem->with(dayLimit: $limit);

        return new Compiled($problem, new FreeTime($problem));
    }
}
