<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\DueDate;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\Zone;

/** Small problems with a bit of everything: two sets of hours that overlap, odd meetings, limits, chains, an anchored block. */
final class RandomProblem
{
    private const DAY = 29_500_000 - 29_500_000 % 1440;

    /** The same seed gives the same problem. */
    public static function of(int $seed, bool $repair = false): PlanningProblem
    {
        mt_srand($seed);
        $tasks = $previous = [];
        for ($i = 0; $i < 8; $i++) {
            $least = 5 * mt_rand(1, 6);
            $tasks[] = new Task(
                id: "t{$i}",
                minutes: 5 * mt_rand(1, 40),
                importance: Importance::from(mt_rand(1, 4)),
                hours: mt_rand(0, 4) === 0 ? 'late' : 'day',
                due: mt_rand(0, 2) === 0 ? null : new DueDate(self::DAY + 540 + 37 * mt_rand(0, 60), mt_rand(0, 3) === 0),
                notBefore: mt_rand(0, 3) === 0 ? self::DAY + mt_rand(540, 2000) : null,
                minChunk: $least,
                maxChunk: $least + 5 * mt_rand(0, 18) + 3,
                after: $i > 1 && mt_rand(0, 3) === 0 ? ['t'.mt_rand(0, $i - 1)] : [],
                demand: mt_rand(0, 1) === 0 ? Demand::Deep : Demand::Light,
            );
        }
        for ($i = 0; $repair && $i < 10; $i++) {
            $start = self::DAY + 540 + 5 * mt_rand(0, 90) + 1440 * mt_rand(0, 2);
            $previous[] = new Block('t'.mt_rand(0, 7), new Interval($start, $start + 5 * mt_rand(1, 18)));
        }
        $days = range(0, 3);
        $anchor = self::DAY + 601 + mt_rand(0, 200);

        return new PlanningProblem(
            zone: new Zone('UTC'),
            now: self::DAY + 547,
            end: self::DAY + 4 * 1440,
            step: 5,
            hours: [
                'day' => IntervalSet::covering(...array_map(static fn (int $day): Interval => new Interval(self::DAY + 1440 * $day + 540, self::DAY + 1440 * $day + 1000), $days)),
                'late' => IntervalSet::covering(...array_map(static fn (int $day): Interval => new Interval(self::DAY + 1440 * $day + 900, self::DAY + 1440 * $day + 1440), $days)),
            ],
            busy: IntervalSet::covering(...array_map(static function (int $day): Interval {
                $start = self::DAY + 1440 * $day + mt_rand(500, 900);

                return new Interval($start, $start + mt_rand(5, 120));
            }, $days)),
            tasks: $tasks,
            anchored: [new Block('t0', new Interval($anchor, $anchor + 33), true)],
            previous: $previous,
            dayLimit: new DayLimit(mt_rand(0, 1) === 0 ? null : 300),
            deepLimit: new DayLimit(120),
            hoursLimits: ['day' => new DayLimit(null, [intdiv(self::DAY, 1440) => 95])],
        );
    }
}
