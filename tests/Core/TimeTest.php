<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Hours\InvalidHours;
use Nekto\Core\Hours\Stretch;
use Nekto\Core\Hours\WeeklyHours;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Zone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

final class TimeTest extends TestCase
{
    #[Test]
    public function an_interval_ends_after_it_starts(): void
    {
        $this->expectException(InvalidTime::class);
        $this->expectExceptionMessage('10 to 10');

        new Interval(10, 10);
    }

    #[Test]
    public function intervals_that_touch_do_not_overlap(): void
    {
        self::assertFalse((new Interval(0, 10))->overlaps(new Interval(10, 20)));
        self::assertTrue((new Interval(0, 11))->overlaps(new Interval(10, 20)));
        self::assertNull((new Interval(0, 10))->intersection(new Interval(10, 20)));
        self::assertTrue((new Interval(0, 20))->engulfs(new Interval(5, 20)));
    }

    #[Test]
    public function a_week_begins_on_the_last_such_day_whichever_it_is(): void
    {
        for ($number = LocalDay::of(2025, 12, 20)->number; $number < LocalDay::of(2026, 1, 12)->number; $number++) {
            for ($weekday = 1; $weekday <= 7; $weekday++) {
                $first = (new LocalDay($number))->backTo($weekday);
                self::assertSame($weekday, $first->weekday());
                self::assertContains($number - $first->number, range(0, 6));
            }
        }
    }

    #[Test]
    public function days_know_their_weekday_over_a_year_end(): void
    {
        self::assertSame('thu', LocalDay::of(2026, 12, 31)->weekdayKey());
        self::assertSame('2027-01-01', LocalDay::of(2026, 12, 31)->plusDays(1)->asString());
        self::assertSame(7, LocalDay::fromString('2026-03-29')->weekday());
    }

    #[Test]
    #[DataProvider('noDates')]
    public function there_is_no_such_date(string $text): void
    {
        $this->expectException(InvalidTime::class);
        LocalDay::fromString($text);
    }

    /** @return list<array{string}> */
    public static function noDates(): array
    {
        return [['2026-02-29'], ['2026-13-01'], ['tomorrow'], ['2026-3-1'], ['']];
    }

    /** @param  list<array{string, int, string}>  $table  local date, minutes since midnight, UTC */
    #[Test]
    #[DataProvider('clockChanges')]
    public function wall_clocks_are_read_across_clock_changes(string $zone, array $table): void
    {
        $zone = new Zone($zone);
        foreach ($table as [$date, $minute, $utc]) {
            self::assertSame($utc, gmdate('Y-m-d H:i', 60 * $zone->at(LocalDay::fromString($date), $minute)), "{$date} + {$minute} min");
        }
    }

    /** @return array<string, array{string, list<array{string, int, string}>}> */
    public static function clockChanges(): array
    {
        return [
            'forward at 01:00, the missing 01:30 is 02:30' => ['Europe/Lisbon', [
                ['2026-03-29', 59, '2026-03-29 00:59'], ['2026-03-29', 90, '2026-03-29 01:30'], ['2026-03-29', 120, '2026-03-29 01:00'],
                ['2026-03-29', 540, '2026-03-29 08:00'], ['2026-03-29', 1440, '2026-03-29 23:00'],
            ]],
            'back at 02:00, 01:30 is the first of two' => ['Europe/Lisbon', [
                ['2026-10-25', 90, '2026-10-25 00:30'], ['2026-10-25', 120, '2026-10-25 02:00'], ['2026-10-25', 540, '2026-10-25 09:00'],
            ]],
            'by half an hour' => ['Australia/Lord_Howe', [
                ['2026-10-04', 540, '2026-10-03 22:00'], ['2026-04-05', 540, '2026-04-04 22:30'],
            ]],
            'no midnight' => ['Africa/Cairo', [
                ['2026-04-24', 0, '2026-04-23 22:00'], ['2026-04-24', 60, '2026-04-23 22:00'],
            ]],
            'a quarter hour off' => ['Asia/Kathmandu', [['2026-01-01', 0, '2025-12-31 18:15']]],
        ];
    }

    #[Test]
    public function days_have_23_24_or_25_hours(): void
    {
        $zone = new Zone('Europe/Lisbon');

        self::assertSame([23, 24, 25], array_map(
            static fn (string $date): int => intdiv($zone->day(LocalDay::fromString($date))->length(), 60),
            ['2026-03-29', '2026-03-30', '2026-10-25'],
        ));
    }

    #[Test]
    public function a_moment_belongs_to_the_day_the_person_lives_in(): void
    {
        $minute = intdiv((int) gmmktime(23, 30, 0, 12, 31, 2026), 60);

        self::assertSame('2026-12-31', (new Zone('Europe/Lisbon'))->dayOf($minute)->asString());
        self::assertSame('2027-01-01', (new Zone('Europe/Athens'))->dayOf($minute)->asString());
        self::assertSame(90, (new Zone('Europe/Athens'))->minuteOfDay($minute));
        self::assertSame('2026-12-31', (new Zone('America/Los_Angeles'))->dayOf($minute)->asString());
    }

    #[Test]
    public function there_is_no_such_zone(): void
    {
        $this->expectExceptionObject(InvalidTime::unknownZone('Europe/Atlantis'));
        new Zone('Europe/Atlantis');
    }

    #[Test]
    public function weekly_hours_become_open_minutes_and_exceptions_replace_whole_days(): void
    {
        $hours = WeeklyHours::fromArrays(
            ['mon' => [['09:00', '12:30'], ['13:15', '17:30']], 'tue' => [['09:00', '17:30']]],
            ['2026-03-10' => [], '2026-03-11' => [['10:00', '11:00']]],
        );
        $open = $hours->during(new Zone('UTC'), LocalDay::fromString('2026-03-09'), 7);

        self::assertSame([210, 255, 60], array_map(static fn (Interval $one): int => $one->length(), $open->intervals));
    }

    #[Test]
    public function hours_over_the_night_of_a_clock_change_are_an_hour_shorter(): void
    {
        $hours = WeeklyHours::fromArrays(['sun' => [['00:00', '24:00']]]);

        self::assertSame(23 * 60, $hours->during(new Zone('Europe/Lisbon'), LocalDay::fromString('2026-03-29'), 1)->length());
        self::assertSame(25 * 60, $hours->during(new Zone('Europe/Lisbon'), LocalDay::fromString('2026-10-25'), 1)->length());
    }

    #[Test]
    public function hours_that_a_clock_change_swallows_are_left_out(): void
    {
        $hours = WeeklyHours::fromArrays(['sun' => [['01:00', '02:00']]]);

        self::assertTrue($hours->during(new Zone('Europe/Lisbon'), LocalDay::fromString('2026-03-29'), 1)->isEmpty());
    }

    /** @param  array{string, string}  $pair */
    #[Test]
    #[DataProvider('noHours')]
    public function hours_that_cannot_be_are_refused(array $pair, string $message): void
    {
        $this->expectException(InvalidHours::class);
        $this->expectExceptionMessage($message);
        Stretch::fromClock(...$pair);
    }

    /** @return list<array{array{string, string}, string}> */
    public static function noHours(): array
    {
        return [
            [['12:00', '09:00'], '12:00 to 09:00'], [['09:00', '09:00'], 'end after they start'], [['09:00', '24:30'], '"24:30" is not a time'],
            [['9:00', '10:00'], '"9:00" is not a time'], [['09:60', '10:00'], '"09:60" is not a time'],
        ];
    }
}
