<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Day\DayLoad;
use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Pressure\DemandCurve;
use Nekto\Core\Pressure\DueWork;
use Nekto\Core\Pressure\Pull;
use Nekto\Core\Pressure\Push;
use Nekto\Core\Pressure\Supply;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\Zone;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\ProblemBuilder as At;

final class PressureTest extends TestCase
{
    #[Test]
    public function pressure_sets_all_work_due_by_then_against_the_open_time_until_then(): void
    {
        $curve = self::curve([['Mon 12:00', 90], ['Tue 12:00', 120], ['Wed 12:00', 60]]);
        $tuesday = $curve->at(At::minute('Tue 12:00'));

        self::assertSame([210, 360, 58, 150], [$tuesday->demand, $tuesday->supply, $tuesday->pressure(), $tuesday->room()]);
    }

    #[Test]
    public function more_work_than_time_is_a_crunch_known_before_its_date(): void
    {
        $monday = self::curve([['Mon 12:00', 100], ['Mon 12:00', 125]])->at(At::minute('Mon 12:00'));

        self::assertSame([125, -45], [$monday->pressure(), $monday->room()]);
    }

    #[Test]
    public function a_date_without_open_time_before_it_is_beyond_measure(): void
    {
        $curve = self::curve([['Mon 08:30', 30]]);

        self::assertSame(999, $curve->at(At::minute('Mon 08:30'))->pressure());
        self::assertSame(0, self::curve([])->at(At::minute('Mon 08:30'))->pressure());
    }

    #[Test]
    public function of_each_day_no_more_counts_than_its_load_line_allows(): void
    {
        $curve = self::curve([['Tue 12:00', 120]], line: 100);

        self::assertSame([100, 100, 200, 60], [$curve->at(At::minute('Mon 11:00'))->supply, $curve->at(At::minute('Mon 18:00'))->supply, $curve->at(At::minute('Tue 12:00'))->supply, $curve->at(At::minute('Mon 10:00'))->supply]);
    }

    #[Test]
    public function deep_work_has_less_time_and_light_work_due_before_it_takes_its_time_first(): void
    {
        // 180 open a day, 60 of them deep
        $curve = self::curve([['Mon 12:00', 170], ['Tue 12:00', 90, true]], deep: 60);

        self::assertSame([260, 360], [$curve->at(At::minute('Tue 12:00'))->demand, $curve->at(At::minute('Tue 12:00'))->supply], 'light work sees all of it');
        $deep = $curve->at(At::minute('Tue 12:00'), deep: true);
        self::assertSame([260, 240, -20], [$deep->demand, $deep->supply, $deep->room()], 'all of Monday, and an hour of Tuesday');
        self::assertSame(-30, self::curve([['Tue 12:00', 150, true]], deep: 60)->at(At::minute('Tue 12:00'), deep: true)->room());
        self::assertSame(210, self::curve([['Tue 12:00', 150, true]], deep: 60)->at(At::minute('Tue 12:00'))->room());
    }

    #[Test]
    public function what_cannot_begin_before_a_day_has_only_the_time_from_then_on(): void
    {
        $curve = self::curve([['Wed 12:00', 200, false, 'Wed 09:00'], ['Wed 12:00', 60]]);

        self::assertSame(280, $curve->at(At::minute('Wed 12:00'))->room());
        self::assertSame(-20, $curve->at(At::minute('Wed 12:00'), from: At::minute('Wed 09:00'))->room());
    }

    /** A crunch of one set of hours under load line and deep limit, against what the best of all divisions could lay. */
    #[Test]
    public function a_room_is_what_the_days_really_leave(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $crunches = 0;
        for ($round = 0; $round < 400; $round++) {
            $deepLimit = 30 * $random->getInt(1, 5);
            $line = 30 * $random->getInt(2, 6);
            $work = array_map(static fn (): array => [['Mon 12:00', 'Tue 12:00', 'Wed 12:00'][$random->getInt(0, 2)], 30 * $random->getInt(1, 4), $random->getInt(0, 1) === 1], range(1, $random->getInt(1, 6)));
            $curve = self::curve($work, $line, $deepLimit);
            $holds = array_reduce($work, static fn (bool $all, array $one): bool => $all && $curve->at(At::minute($one[0]), $one[2])->room() >= 0, true);
            $crunches += $holds ? 0 : 1;

            self::assertSame(self::fits($work, $line, $deepLimit), $holds, json_encode([$work, $line, $deepLimit], JSON_THROW_ON_ERROR));
        }
        self::assertGreaterThan(40, $crunches);
        self::assertLessThan(360, $crunches);
    }

    /**
     * Whether minutes can be divided over the days: by due date, deep work takes each day's deep limit as late as it may,
     * in steps of half an hour, every way tried.
     *
     * @param  list<array{string, int, bool}>  $work
     */
    private static function fits(array $work, int $line, int $deepLimit): bool
    {
        $days = ['Mon 12:00' => 0, 'Tue 12:00' => 1, 'Wed 12:00' => 2];
        $deep = $light = [0, 0, 0];
        foreach ($work as [$due, $minutes, $isDeep]) {
            $isDeep ? $deep[$days[$due]] += $minutes : $light[$days[$due]] += $minutes;
        }
        $cap = min(180, $line);
        for ($a = 0; $a <= min($cap, $deepLimit); $a += 30) {
            for ($b = 0; $b <= min($cap, $deepLimit); $b += 30) {
                for ($c = 0; $c <= min($cap, $deepLimit); $c += 30) {
                    $deepFits = $a >= $deep[0] && $a + $b >= $deep[0] + $deep[1] && $a + $b + $c >= array_sum($deep);
                    $lightFits = $cap - $a >= $light[0] && 2 * $cap - $a - $b >= $light[0] + $light[1] && 3 * $cap - $a - $b - $c >= array_sum($light);
                    if ($deepFits && $lightFits) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    #[Test]
    public function pull_is_the_sum_of_its_parts_and_stays_between_0_and_100(): void
    {
        $essay = Pull::of(Importance::Vital, 114, Push::None, 12);

        self::assertSame([40, 38, 0, 4, 82], [$essay->importance, $essay->pressure, $essay->push, $essay->age, $essay->total()]);
        self::assertSame(100, Pull::of(Importance::Vital, 500, Push::Urgent, 400)->total());
        self::assertSame(0, Pull::of(null, null, Push::HoldBack)->total());
    }

    #[Test]
    public function a_day_carries_its_open_time_less_the_margin(): void
    {
        $load = DayLoad::of(
            self::set('Mon 09:00', 'Mon 17:30'),
            self::set('Mon 12:30', 'Mon 13:15'),
            self::set('Mon 09:30', 'Mon 10:00')->union(self::set('Mon 11:30', 'Mon 12:15'))->union(self::set('Mon 13:45', 'Mon 14:45')),
            self::set('Mon 13:15', 'Mon 13:45'),
            20,
        );

        self::assertSame([510, 45, 135, 30, 300, 60, 240], array_values(get_object_vars($load)));
    }

    #[Test]
    public function time_that_is_taken_twice_counts_once(): void
    {
        $load = DayLoad::of(self::set('Mon 09:00', 'Mon 10:00'), self::set('Mon 09:00', 'Mon 09:30'), self::set('Mon 09:15', 'Mon 11:00'), IntervalSet::empty(), 20);

        self::assertSame([60, 30, 30, 0, 0, 0, 0], array_values(get_object_vars($load)));
    }

    /** @param  list<array{string, int, 2?: bool, 3?: string}>  $work  due, minutes, deep, earliest start */
    private static function curve(array $work, ?int $line = null, ?int $deep = null): DemandCurve
    {
        return new DemandCurve(
            array_map(static fn (array $one): DueWork => new DueWork(At::minute($one[0]), $one[1], $one[2] ?? false, isset($one[3]) ? At::minute($one[3]) : null), $work),
            new Supply(self::open(), At::minute('Mon 08:00'), new Zone('UTC'), new DayLimit($line)),
            $deep === null ? null : new Supply(self::open(), At::minute('Mon 08:00'), new Zone('UTC'), new DayLimit($line), new DayLimit($deep)),
        );
    }

    /** Three hours each morning. */
    private static function open(): IntervalSet
    {
        return self::set('Mon 09:00', 'Mon 12:00')->union(self::set('Tue 09:00', 'Tue 12:00'))->union(self::set('Wed 09:00', 'Wed 12:00'));
    }

    private static function set(string $from, string $to): IntervalSet
    {
        return IntervalSet::covering(At::interval($from, $to));
    }
}
