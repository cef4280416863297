<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Recurrence\Instances;
use Nekto\Core\Recurrence\Length;
use Nekto\Core\Recurrence\Moment;
use Nekto\Core\Recurrence\Rule;
use Nekto\Core\Recurrence\RuleRefused;
use Nekto\Core\Time\Calendar;
use Nekto\Core\Time\Offsets;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The parts of the engine; what whole events give, ExpandTest compares with the standard. */
final class RecurrenceTest extends TestCase
{
    private const DAY = 86_400;

    #[Test]
    public function days_are_those_of_every_other_calendar(): void
    {
        for ($day = -719_000; $day < 800_000; $day += 97) {
            [$year, $month, $dayOfMonth] = Calendar::date($day);
            self::assertSame(gmdate('Y-m-d', $day * self::DAY), sprintf('%04d-%02d-%02d', $year, $month, $dayOfMonth));
            self::assertSame((int) gmdate('N', $day * self::DAY), Calendar::weekday($day));
            self::assertSame((int) gmdate('W', $day * self::DAY), Calendar::week($day, 1)[0]);
        }
    }

    /** What is passed over by arithmetic is what would have been looked at and left out. */
    #[Test]
    public function a_window_shows_what_the_whole_shows_of_it(): void
    {
        $random = new Randomizer(new Mt19937((int) (getenv('ERIS_SEED') ?: 1)));
        $start = (int) gmmktime(9, 30, 0, 1, 31, 2024);
        for ($i = 0; $i < (getenv('NEKTO_LONG') ? 6000 : 500); $i++) {
            $text = self::some($random);
            $until = $start + self::DAY * $random->getInt(200, 1500);
            $from = $start + self::DAY * $random->getInt(0, 900);
            $all = static fn (int $from): array => array_values(array_filter(iterator_to_array((new Instances(Rule::read($text), $start, $until))->between($from, $until), false), static fn (int $at): bool => $at >= $from));
            $whole = array_values(array_filter($all($start), static fn (int $at): bool => $at >= $from));

            self::assertSame($whole, $all($from), $text);
            $sorted = $whole;
            sort($sorted);
            self::assertSame(array_values(array_unique($sorted)), $whole, "{$text}: ascending, each once");
        }
    }

    #[Test]
    public function a_count_is_kept_whatever_is_asked_for(): void
    {
        $rule = Rule::read('FREQ=DAILY;COUNT=10');
        self::assertCount(10, iterator_to_array((new Instances($rule, 0, null))->between(0, self::DAY * 1000), false));
        $late = array_filter(iterator_to_array((new Instances($rule, 0, null))->between(self::DAY * 8, self::DAY * 1000), false), static fn (int $at): bool => $at >= self::DAY * 8);
        self::assertSame([self::DAY * 8, self::DAY * 9], array_values($late));
    }

    #[Test]
    public function every_minute_since_1998_costs_nothing_today(): void
    {
        $start = (int) gmmktime(9, 0, 0, 1, 1, 1998);
        $from = $start + self::DAY * 10_000;
        $found = iterator_to_array((new Instances(Rule::read('FREQ=MINUTELY'), $start, null))->between($from, $from + 600), false); // fourteen million periods lie before: looked at, they would be too many

        self::assertSame([$from, $from + 60], array_slice(array_values(array_filter($found, static fn (int $at): bool => $at >= $from)), 0, 2));
    }

    #[Test]
    public function what_never_comes_round_ends(): void
    {
        self::assertSame([0], iterator_to_array((new Instances(Rule::read('FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30'), 0, null))->between(0, PHP_INT_MAX), false));
        try {
            iterator_to_array((new Instances(Rule::read('FREQ=SECONDLY;BYSETPOS=2'), 0, null))->between(0, PHP_INT_MAX), false);
            self::fail('It would go on for ever.');
        } catch (RuleRefused $error) {
            self::assertTrue($error->isEndless);
        }
    }

    /** @return list<array{string, string}> */
    public static function refused(): array
    {
        return [
            ['', 'has no frequency'], ['FREQ=SOMETIMES', 'has no frequency'], ['FREQ=DAILY;INTERVAL=0', '“0” for INTERVAL'], ['FREQ=DAILY;COUNT=-1', '“-1” for COUNT'], ['FREQ=DAILY;BYHOUR=24', '“24” for BYHOUR'],
            ['FREQ=DAILY;BYHOUR=-1', '“-1” for BYHOUR'], ['FREQ=DAILY;BYMONTHDAY=0', '“0” for BYMONTHDAY'], ['FREQ=DAILY;BYMONTHDAY=1,x', '“X” for BYMONTHDAY'], ['FREQ=DAILY;BYDAY=0MO', '“0MO” for a weekday'], ['FREQ=DAILY;BYDAY=XX', '“XX” for a weekday'],
            ['FREQ=DAILY;UNTIL=soon', 'ends at “SOON”'], ['FREQ=DAILY;UNTIL=20260231', 'ends at “20260231”'], ['FREQ=DAILY;WKST=XX', 'begins weeks with “XX”'], ['FREQ=DAILY;INTERVAL=99999999999', 'for INTERVAL'],
        ];
    }

    #[Test]
    #[DataProvider('refused')]
    public function what_is_outside_the_grammar_is_refused_in_words(string $rule, string $said): void
    {
        $this->expectException(RuleRefused::class);
        $this->expectExceptionMessage($said);
        Rule::read($rule);
    }

    #[Test]
    public function letters_order_and_unknown_parts_do_not_matter(): void
    {
        self::assertEquals(Rule::read('FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,TU'), Rule::read('byday=mo, tu;x-mine=1;interval=+2;freq=Weekly;'));
    }

    #[Test]
    public function a_time_that_is_skipped_or_comes_twice_is_read_with_the_offset_before(): void
    {
        $lisbon = Offsets::of(new \DateTimeZone('Europe/Lisbon'));
        $at = static fn (string $time): int => (int) strtotime("{$time} UTC");
        self::assertSame($at('2026-03-29 01:30'), $lisbon->utc($at('2026-03-29 01:30')), 'skipped');
        self::assertSame($at('2026-10-25 00:30'), $lisbon->utc($at('2026-10-25 01:30')), 'the first of two');
        self::assertSame($at('2026-10-25 02:30'), $lisbon->utc($at('2026-10-25 02:30')));
    }

    #[Test]
    public function clocks_agree_with_those_of_php_wherever_a_time_is_there_once(): void
    {
        $random = new Randomizer(new Mt19937(7));
        foreach (['Europe/Lisbon', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kathmandu', 'Africa/Casablanca', 'America/St_Johns', 'Pacific/Apia', 'UTC'] as $name) {
            $zone = new \DateTimeZone($name);
            $clock = Offsets::of($zone);
            for ($i = 0; $i < 300; $i++) {
                $utc = $random->getInt(1_000_000_000, 2_000_000_000);
                self::assertSame($utc + $zone->getOffset(new \DateTimeImmutable("@{$utc}")), $clock->local($utc), $name);
                $back = $clock->utc($clock->local($utc));
                self::assertTrue($back === $utc || $clock->local($back) === $clock->local($utc), "{$name} {$utc}");
            }
        }
    }

    #[Test]
    public function days_of_a_length_are_the_calendars_and_hours_are_exact(): void
    {
        $lisbon = Offsets::of(new \DateTimeZone('Europe/Lisbon'));
        $start = new Moment((int) strtotime('2026-03-28 10:00 UTC'), false, $lisbon);
        self::assertSame('2026-03-29 09:00', gmdate('Y-m-d H:i', (Length::read('P1D') ?? self::fail())->end($start)));
        self::assertSame('2026-03-29 10:00', gmdate('Y-m-d H:i', (Length::read('PT24H') ?? self::fail())->end($start)));
        self::assertEquals([new Length(15, 0), new Length(1, 5400), new Length(-1, 0), null, null], array_map(Length::read(...), ['P2W1D', 'P1DT1H30M', '-P1D', 'P', 'an hour']));
    }

    private static function some(Randomizer $random): string
    {
        $one = static fn (array $of): mixed => $of[$random->getInt(0, count($of) - 1)];
        $chance = static fn (int $percent): bool => $random->getInt(1, 100) <= $percent;
        $frequency = $one(['YEARLY', 'MONTHLY', 'WEEKLY', 'DAILY', 'HOURLY']);
        $parts = ["FREQ={$frequency}", 'INTERVAL='.$random->getInt(1, 5)];
        $chance(30) && $parts[] = 'BYMONTH='.$one(['1', '2,3', '6,12']);
        $chance(30) && $frequency !== 'WEEKLY' && $parts[] = 'BYMONTHDAY='.$one(['1', '-1', '13,31', '-3,15']);
        $chance(40) && $parts[] = 'BYDAY='.$one($frequency === 'MONTHLY' || $frequency === 'YEARLY' ? ['MO', '2TU', '-1FR', 'SA,SU', '1MO,-2WE'] : ['MO', 'TU,TH', 'SA,SU']);
        $chance(20) && $frequency === 'YEARLY' && $parts[] = $one(['BYWEEKNO=1,20', 'BYYEARDAY=1,100,-1', 'BYWEEKNO=-1']);
        $chance(30) && $parts[] = 'BYHOUR='.$one(['9', '8,17', '0']);
        $chance(20) && $parts[] = 'BYMINUTE='.$one(['0', '0,30']);
        $chance(25) && $parts[] = 'BYSETPOS='.$one(['1', '-1', '1,-1', '2']);
        $chance(30) && $parts[] = 'WKST='.$one(['SU', 'WE']);

        return implode(';', $parts);
    }
}
