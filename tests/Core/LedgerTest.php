<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Ledger\Between;
use Nekto\Core\Ledger\Calibration;
use Nekto\Core\Ledger\Period;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Periods, the one before, hours against what is accounted, and chances against what came. */
final class LedgerTest extends TestCase
{
    #[Test]
    public function a_whole_month_is_set_against_the_one_before_and_other_days_against_as_many(): void
    {
        self::assertSame('2026-03-01..2026-03-31', self::said(Period::month(LocalDay::fromString('2026-03-11'))));
        self::assertSame('2026-02-01..2026-02-28', self::said(Period::month(LocalDay::fromString('2026-03-11'))->before()));
        self::assertSame('2025-12-01..2025-12-31', self::said(Period::month(LocalDay::fromString('2026-01-31'))->before()));
        self::assertSame('2026-01-01..2026-03-31', self::said(Period::quarter(LocalDay::fromString('2026-03-11'))));
        self::assertSame('2025-10-01..2025-12-31', self::said(Period::quarter(LocalDay::fromString('2026-01-01'))->before()));
        self::assertSame('2026-01-01..2026-01-31', self::said(Period::month(LocalDay::fromString('2025-12-31'))->after()));
        self::assertSame('2026-04-01..2026-06-30', self::said(Period::quarter(LocalDay::fromString('2026-03-11'))->after()));
        self::assertSame('2028-02-01..2028-02-29', self::said(Period::month(LocalDay::fromString('2028-02-29'))));

        $own = new Period(LocalDay::fromString('2026-03-03'), LocalDay::fromString('2026-03-05'));
        self::assertSame(['2026-02-28..2026-03-02', '2026-03-06..2026-03-08'], [self::said($own->before()), self::said($own->after())]);
    }

    #[Test]
    public function weeks_follow_the_persons_first_day(): void
    {
        $day = LocalDay::fromString('2026-03-11');

        self::assertSame('2026-03-09..2026-03-15', self::said(Period::week($day)));
        self::assertSame('2026-03-08..2026-03-14', self::said(Period::week($day, 7)));
        self::assertSame('2026-03-01..2026-03-07', self::said(Period::week($day, 7, 1)));
        self::assertSame('2026-02-09..2026-03-08', self::said(Period::weeksBefore($day, 4)));
        self::assertSame('2026-01-12..2026-02-08', self::said(Period::weeksBefore($day, 4)->before()));
    }

    #[Test]
    public function parts_are_days_weeks_or_months_and_together_the_whole(): void
    {
        foreach ([3, 14, 15, 30, 84, 190, 191, 800] as $days) {
            foreach ([1, 6, 7] as $starts) {
                $period = new Period(LocalDay::fromString('2026-01-29'), LocalDay::fromString('2026-01-29')->plusDays($days - 1));
                $parts = $period->parts($starts);
                self::assertTrue($parts[0]->first->equals($period->first));
                self::assertTrue(end($parts)->last->equals($period->last));
                self::assertSame($days, array_sum(array_map(static fn (Period $part): int => $part->days(), $parts)), "{$days} days");
                for ($i = 1; $i < count($parts); $i++) {
                    self::assertSame($parts[$i - 1]->last->number + 1, $parts[$i]->first->number);
                }
            }
        }
        self::assertCount(3, (new Period(LocalDay::fromString('2026-01-29'), LocalDay::fromString('2026-01-31')))->parts());
    }

    #[Test]
    public function hours_are_what_is_accounted_and_what_lies_between(): void
    {
        $hours = IntervalSet::covering(new Interval(540, 750), new Interval(795, 1050));
        $between = Between::of($hours, new Interval(530, 600), new Interval(590, 640), new Interval(700, 760), new Interval(1100, 1130));

        self::assertSame([465, 150, 315, 50, 10], [$between->hours, $between->accounted, $between->between, $between->outside, $between->twice]);
        self::assertSame($between->hours, $between->accounted + $between->between);
    }

    #[Test]
    public function chances_are_grouped_and_set_against_what_came_in_time(): void
    {
        $said = [[95, true], [91, true], [90, false], [80, true], [70, true], [69, false], [45, true], [44, false], [0, false]];
        $groups = Calibration::of($said);

        self::assertSame([[92, 2, 3], [75, 2, 2], [57, 1, 2], [22, 0, 2]], array_map(static fn (Calibration $one): array => [$one->percent, $one->kept, $one->all], $groups));
        self::assertSame(3, $groups[0]->due());
        self::assertSame([], Calibration::of([]));
    }

    private static function said(Period $period): string
    {
        return "{$period->first->asString()}..{$period->last->asString()}";
    }
}
