<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Day\DayLoad;
use Nekto\Core\Pressure\BlockSlack;
use Nekto\Core\Pressure\DemandCurve;
use Nekto\Core\Pressure\Pull;
use Nekto\Core\Pressure\Push;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\Timeline;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;
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
    public function pull_is_the_sum_of_its_parts_and_stays_between_0_and_100(): void
    {
        $essay = Pull::of(Importance::Vital, 114, Push::None, 12);

        self::assertSame([40, 38, 0, 4, 82], [$essay->importance, $essay->pressure, $essay->push, $essay->age, $essay->total()]);
        self::assertSame(100, Pull::of(Importance::Vital, 500, Push::Urgent, 400)->total());
        self::assertSame(0, Pull::of(null, null, Push::HoldBack)->total());
    }

    #[Test]
    public function slack_is_open_time_to_the_latest_start(): void
    {
        $slack = BlockSlack::of(At::minute('Mon 09:00'), 60, 0, At::minute('Tue 12:00'), self::open());

        self::assertSame(300, $slack->minutes);
        self::assertSame(At::minute('Tue 12:00'), $slack->latestEnd);
    }

    #[Test]
    public function later_blocks_of_the_same_task_take_slack_away(): void
    {
        $slack = BlockSlack::of(At::minute('Mon 09:00'), 60, 120, At::minute('Tue 12:00'), self::open());

        self::assertSame(180, $slack->minutes);
        self::assertSame(At::minute('Tue 10:00'), $slack->latestEnd);
    }

    #[Test]
    public function late_work_has_negative_slack(): void
    {
        $slack = BlockSlack::of(At::minute('Tue 11:30'), 60, 0, At::minute('Tue 12:00'), self::open());

        self::assertSame(-30, $slack->minutes);
        self::assertNull($slack->latestEnd);
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

    /** @param  list<array{string, int}>  $work */
    private static function curve(array $work): DemandCurve
    {
        return new DemandCurve(
            array_map(static fn (array $one): array => [At::minute($one[0]), $one[1]], $work),
            new Timeline(self::open()),
            At::minute('Mon 08:00'),
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
