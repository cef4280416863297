<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Hours\WeeklyHours;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Zone;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Our own reading of time zones against PHP's, over twenty years of clock changes on five continents. */
final class ZonePropertyTest extends TestCase
{
    use TestTrait;

    private const ZONES = ['Europe/Lisbon', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kathmandu', 'Africa/Cairo', 'Pacific/Apia', 'America/St_Johns', 'UTC'];

    private const FROM = 24_000_000; // August 2015

    private const TO = 34_500_000; // August 2035

    #[Test]
    public function a_moment_has_the_wall_clock_that_php_gives_it(): void
    {
        $this->limitTo(Runs::of(300))->forAll(Generators::elements(...self::ZONES), Generators::choose(self::FROM, self::TO))->then(function (string $name, int $minute): void {
            $zone = new Zone($name);
            $php = (new \DateTimeImmutable('@'.(60 * $minute)))->setTimezone(new \DateTimeZone($name));

            self::assertSame($php->format('Y-m-d'), $zone->dayOf($minute)->asString());
            self::assertSame(60 * (int) $php->format('G') + (int) $php->format('i'), $zone->minuteOfDay($minute));
        });
    }

    #[Test]
    public function a_wall_clock_time_leads_back_to_its_moment_or_to_the_first_of_two(): void
    {
        $this->limitTo(Runs::of(300))->forAll(Generators::elements(...self::ZONES), Generators::choose(self::FROM, self::TO))->then(function (string $name, int $minute): void {
            $zone = new Zone($name);
            $back = $zone->at($zone->dayOf($minute), $zone->minuteOfDay($minute));

            self::assertLessThanOrEqual($minute, $back);
            self::assertSame([$zone->dayOf($minute)->number, $zone->minuteOfDay($minute)], [$zone->dayOf($back)->number, $zone->minuteOfDay($back)]);
            self::assertContains($minute - $back, [0, 30, 60, 1440], 'an hour put back, half an hour, or a day at the date line');
        });
    }

    #[Test]
    public function days_follow_each_other_without_a_gap(): void
    {
        $this->limitTo(Runs::of(200))->forAll(Generators::elements(...self::ZONES), Generators::choose(16_700, 23_900))->then(function (string $name, int $number): void {
            $zone = new Zone($name);
            $day = new LocalDay($number);

            self::assertSame($zone->day($day)->end, $zone->day($day->plusDays(1))->start);
            self::assertSame($number, $zone->dayOf($zone->day($day)->start)->number);
        });
    }

    #[Test]
    public function hours_of_a_week_are_the_sum_of_its_days(): void
    {
        $hours = WeeklyHours::fromArrays(array_fill_keys(['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'], [['00:30', '03:30'], ['09:00', '24:00']]));
        $this->limitTo(Runs::of(100))->forAll(Generators::elements(...self::ZONES), Generators::choose(16_700, 23_900))->then(function (string $name, int $number) use ($hours): void {
            $zone = new Zone($name);
            $sum = 0;
            for ($i = 0; $i < 7; $i++) {
                $sum += $hours->during($zone, new LocalDay($number + $i), 1)->length();
            }

            self::assertSame($sum, $hours->during($zone, new LocalDay($number), 7)->length());
        });
    }

    #[Test]
    public function a_date_and_its_text_are_one(): void
    {
        $this->limitTo(Runs::of(200))->forAll(Generators::choose(-200_000, 200_000))->then(function (int $number): void {
            $day = new LocalDay($number);

            self::assertTrue($day->equals(LocalDay::fromString($day->asString())));
            self::assertSame(gmdate('N', 86400 * $number), (string) $day->weekday());
        });
    }
}
