<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Recurrence\Instances;
use Nekto\Core\Recurrence\MonthDay;
use Nekto\Core\Recurrence\Rule;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Days of the month as people mean them: no month is left out because it is too short. */
final class MonthDayTest extends TestCase
{
    /** @param  list<int>  $days */
    #[Test]
    #[DataProvider('days')]
    public function every_month_has_its_days_or_its_last_one(array $days): void
    {
        $start = (int) gmmktime(9, 0, 0, 1, 1, 2026);
        $until = (int) gmmktime(9, 0, 0, 1, 1, 2030); // 2028 is a leap year
        $came = [];
        foreach ((new Instances(Rule::read('FREQ=MONTHLY;'.MonthDay::rule(...$days)), $start, $until))->between($start, $until) as $at) {
            $at >= $until || $at === $start && ! in_array(1, $days, true) || $came[] = gmdate('Y-m-d', $at); // the beginning comes in any case
        }
        $meant = [];
        for ($month = $start; $month < $until; $month = (int) strtotime('+1 month', $month)) {
            foreach ($days as $day) {
                $meant[] = gmdate('Y-m-', $month).sprintf('%02d', min($day, (int) gmdate('t', $month)));
            }
        }
        sort($meant);

        self::assertSame(array_values(array_unique($meant)), $came);
    }

    /** @param  list<int>  $days */
    #[Test]
    #[DataProvider('days')]
    public function a_rule_says_the_days_it_was_made_of(array $days): void
    {
        parse_str(strtr(MonthDay::rule(...$days), ';', '&'), $part);
        $monthDays = is_string($part['BYMONTHDAY'] ?? null) ? $part['BYMONTHDAY'] : '';
        $positions = is_string($part['BYSETPOS'] ?? null) ? $part['BYSETPOS'] : null;

        self::assertSame(array_map(static fn (int $day): int => $day === 31 ? -1 : $day, $days), MonthDay::meant($monthDays, $positions));
    }

    /** @return iterable<string, array{list<int>}> */
    public static function days(): iterable
    {
        foreach ([[1], [15], [28], [29], [30], [31], [1, 15], [15, 30], [15, 29], [28, 30], [5, 28], [1, 10, 20, 30], [15, 31]] as $days) {
            yield implode(', ', $days) => [$days];
        }
    }
}
