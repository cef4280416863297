<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Pressure\DemandCurve;
use Nekto\Core\Pressure\DueWork;
use Nekto\Core\Pressure\JointSupply;
use Nekto\Core\Pressure\Supply;
use Nekto\Core\Prospect\Flow\MaxFlow;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Zone;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Supply and demand as they are drawn: they never fall, and are what a person would count. */
final class CurvesTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function two_sets_that_share_time_carry_together_what_a_person_would_count(): void
    {
        // Office 09:00–17:00, evenings 16:00–20:00, of each at most 300 and 120 minutes: the hour they share counts once.
        $zone = new Zone('Europe/Lisbon');
        $day = LocalDay::fromString('2026-03-11');
        $at = static fn (int $hour): int => $zone->at($day, 60 * $hour);
        $set = static fn (int $from, int $to): IntervalSet => IntervalSet::covering(new Interval($at($from), $at($to)));
        $joint = new JointSupply([[$set(9, 17), new DayLimit(300)], [$set(16, 20), new DayLimit(120)]], $at(9), $zone);

        self::assertSame([0, 180, 300, 300, 360, 420, 420], array_map(static fn (int $hour): int => $joint->until($at($hour)), [9, 12, 14, 16, 17, 18, 20]));
        self::assertSame(420, $joint->until($at(20) + 10 * 1440), 'afterwards nothing more comes');
        $tight = new JointSupply([[$set(9, 11), new DayLimit(300)], [$set(9, 11), new DayLimit(300)]], $at(9), $zone);
        self::assertSame(120, $tight->until($at(12)), 'the same two hours are two hours');
    }

    /** At any moment as much as really flows from the sets through their limits into the time they share. */
    #[Test]
    public function together_is_what_flows(): void
    {
        $stretches = Generators::vector(6, Generators::tuple(Generators::choose(0, 40), Generators::choose(1, 12)));
        $this->limitTo(Runs::of(80))->forAll($stretches, $stretches, $stretches, Generators::vector(3, Generators::choose(0, 300)), Generators::choose(0, 3000))->disableShrinking()->then(function (array $one, array $two, array $three, array $limits, int $moment): void {
            $zone = new Zone('UTC');
            $sets = [];
            foreach ([$one, $two, $three] as $i => $drawn) {
                $sets[] = [IntervalSet::covering(...array_map(static fn (array $part): Interval => new Interval(60 * $part[0], 60 * $part[0] + 15 * $part[1]), $drawn)), new DayLimit($limits[$i])];
            }
            $joint = new JointSupply($sets, 0, $zone);

            self::assertSame(self::flow($sets, $moment), $joint->until($moment));
            $before = 0;
            foreach ($joint->corners(3600) as [$at, $minutes]) {
                self::assertGreaterThanOrEqual($before, $minutes, 'it never falls');
                self::assertSame($joint->until($at), $minutes);
                $before = $minutes;
            }
        });
    }

    /** Between its corners a curve rises a minute a minute or stands still, so that what is drawn is what counts. */
    #[Test]
    public function the_line_through_the_corners_is_the_curve(): void
    {
        $this->limitTo(Runs::of(100))->forAll(Generators::vector(8, Generators::tuple(Generators::choose(0, 70), Generators::choose(1, 10))), Generators::choose(0, 300), Generators::choose(0, 5000))->disableShrinking()->then(function (array $drawn, int $limit, int $moment): void {
            $supply = new Supply(IntervalSet::covering(...array_map(static fn (array $part): Interval => new Interval(60 * $part[0], 60 * $part[0] + 20 * $part[1]), $drawn)), 90, new Zone('UTC'), new DayLimit($limit));
            $corners = $supply->corners(5000);
            $moment = max(90, $moment);
            foreach (array_slice($corners, 1) as $i => [$at, $minutes]) {
                [$from, $before] = $corners[$i];
                self::assertContains($minutes - $before, [0, $at - $from], 'it rises a minute a minute, or stands still');
                if ($from <= $moment && $moment <= $at) {
                    self::assertSame($supply->until($moment), $minutes === $before ? $before : $before + $moment - $from);
                }
            }
        });
    }

    #[Test]
    public function the_last_step_is_all_due_work_and_the_day_the_clocks_change_has_an_hour_less(): void
    {
        $zone = new Zone('Europe/Lisbon');
        $sunday = LocalDay::fromString('2026-03-29');
        $night = IntervalSet::covering($zone->day($sunday)); // 23 hours
        $supply = new Supply($night, $zone->day($sunday)->start, $zone);
        self::assertSame(23 * 60, $supply->until($zone->day($sunday)->end));
        self::assertSame(23 * 60, (new JointSupply([[$night, new DayLimit], [$night, new DayLimit]], $zone->day($sunday)->start, $zone))->until($zone->day($sunday)->end));
        $curve = new DemandCurve([new DueWork(300, 40), new DueWork(100, 20), new DueWork(300, 5, true)], $supply);
        self::assertSame([[100, 20], [300, 65]], $curve->steps());
    }

    /** @param  list<array{IntervalSet, DayLimit}>  $sets */
    private static function flow(array $sets, int $until): int
    {
        $sum = 0;
        for ($day = 0; $day < 4; $day++) {
            $flow = new MaxFlow;
            $nodes = array_map(static fn (): int => $flow->node(), $sets);
            foreach ($sets as $i => [, $limit]) {
                $flow->edge(MaxFlow::SOURCE, $nodes[$i], $limit->on($day));
            }
            for ($at = 1440 * $day; $at < min($until, 1440 * ($day + 1)); $at++) {
                $minute = null;
                foreach ($sets as $i => [$open]) {
                    if ($open->contains($at)) {
                        if ($minute === null) {
                            $minute = $flow->node();
                            $flow->edge($minute, MaxFlow::SINK, 1);
                        }
                        $flow->edge($nodes[$i], $minute, 1);
                    }
                }
            }
            $flow->run();
            $sum += $flow->flow;
        }

        return $sum;
    }
}
