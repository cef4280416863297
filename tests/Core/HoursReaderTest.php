<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Hours\HoursReader;
use Nekto\Core\Hours\InvalidHours;
use Nekto\Core\Hours\Stretch;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class HoursReaderTest extends TestCase
{
    /**
     * @param  list<array{string, string}>  $day
     * @param  list<array{string, string}>  $next
     */
    #[Test]
    #[DataProvider('texts')]
    public function hours_are_read_as_people_write_them(string $text, array $day, array $next = []): void
    {
        self::assertSame([$day, $next], array_map(HoursReader::pairs(...), HoursReader::read($text)));
    }

    /** @return list<array{0: string, 1: list<array{string, string}>, 2?: list<array{string, string}>}> */
    public static function texts(): array
    {
        return [
            ['9-12:30, 13:15 to 17.30', [['09:00', '12:30'], ['13:15', '17:30']]], ['9am–5pm', [['09:00', '17:00']]], ['13-15 and 9-10', [['09:00', '10:00'], ['13:00', '15:00']]],
            ['', []], ['closed', []], ['00:00–24:00', [['00:00', '24:00']]], ['12am-6am', [['00:00', '06:00']]],
            ['22:00–02:00', [['22:00', '24:00']], [['00:00', '02:00']]], ['20:00–00:00', [['20:00', '24:00']]],
        ];
    }

    #[Test]
    #[DataProvider('slips')]
    public function slips_are_refused_in_words(string $text, string $said): void
    {
        $this->expectException(InvalidHours::class);
        $this->expectExceptionMessage($said);
        HoursReader::read($text);
    }

    /** @return list<array{string, string}> */
    public static function slips(): array
    {
        return [
            ['17:30–09:00', 'Hours must end after they start: 17:30 to 09:00.'], ['9–5', 'Hours must end after they start'], ['10-10', 'Hours must end after they start'],
            ['9:70-10', 'not a time'], ['9-25', 'not a time'], ['13pm-14', 'not a time'], ['mornings', 'not a time'], ['9-11, 10-12', 'overlap at 10:00'],
        ];
    }

    #[Test]
    public function a_night_goes_on_in_the_next_day_and_sundays_in_monday(): void
    {
        self::assertSame(['mon' => [['00:00', '02:00'], ['09:00', '10:00']], 'sun' => [['22:00', '24:00']]], HoursReader::week(['sun' => '22:00–02:00', 'mon' => '9-10']));
    }

    #[Test]
    public function a_night_that_meets_the_next_days_hours_is_refused(): void
    {
        $this->expectExceptionMessage('Two stretches overlap at 01:00.');
        HoursReader::week(['fri' => '22:00–02:00', 'sat' => '1-3']);
    }

    #[Test]
    public function what_is_said_of_a_week_is_read_as_the_same_week(): void
    {
        $chance = new Randomizer(new Mt19937(16));
        for ($i = 0; $i < 300; $i++) {
            $week = [];
            foreach (['mon', 'wed', 'sat', 'sun'] as $day) {
                $edges = array_unique(array_map(static fn (): int => 15 * $chance->getInt(0, 96), range(1, 2 * $chance->getInt(0, 3) + 1)));
                sort($edges);
                $pairs = array_values(array_filter(array_chunk($edges, 2), static fn (array $pair): bool => count($pair) === 2));
                $pairs === [] || $week[$day] = array_map(static fn (array $pair): array => [Stretch::clock($pair[0]), Stretch::clock($pair[1])], $pairs);
            }
            self::assertSame($week, HoursReader::week(HoursReader::said($week)));
        }
    }

    #[Test]
    public function stretches_that_touch_become_one(): void
    {
        self::assertSame([['09:00', '12:00'], ['13:00', '14:00']], HoursReader::pairs(HoursReader::together([new Stretch(780, 840), new Stretch(540, 660), new Stretch(650, 720)])));
    }
}
