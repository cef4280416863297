<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Capture\ClockReader;
use Nekto\Core\Capture\Numbers;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

final class ClockReaderTest extends TestCase
{
    #[Test]
    #[DataProvider('times')]
    public function times_are_read_as_people_say_them(string $text, int $minutes): void
    {
        self::assertSame($minutes, ClockReader::read($text));
    }

    /** @return list<array{string, int}> */
    public static function times(): array
    {
        return [
            ['noon', 720], ['Midday', 720], ['midnight', 1440], ['9:00', 540], ['09:05', 545], ['23:59', 1439], ['0:00', 0],
            ['9am', 540], ['9 am', 540], ['12am', 0], ['12pm', 720], ['3:30 pm', 930], ['3 p.m.', 900], ['11:15AM', 675],
            ['15h', 900], ['15h30', 930], ['15.30', 930],
            ['3', 900], ['6', 1080], ['7', 420], ['12', 720], ['three', 900], ['nine', 540], ['twelve', 720], ["3 o'clock", 900], ['ten o’clock', 600],
            ['half past three', 930], ['quarter past nine', 555], ['quarter to ten', 585], ['ten to noon', 710], ['five past midnight', 5], ['twenty to one', 760],
            ['24:00', -1], ['25:00', -1], ['9:60', -1], ['13pm', -1], ['0am', -1], ['24', -1],
        ];
    }

    #[Test]
    public function every_minute_of_the_day_is_read_in_both_ways_of_writing(): void
    {
        for ($minute = 0; $minute < 1440; $minute += 7) {
            $hour = intdiv($minute, 60);
            $twelve = ($hour + 11) % 12 + 1;

            self::assertSame($minute, ClockReader::read(sprintf('%d:%02d', $hour, $minute % 60)));
            self::assertSame($minute, ClockReader::read(sprintf('%d:%02d %s', $twelve, $minute % 60, $hour < 12 ? 'am' : 'pm')));
        }
    }

    #[Test]
    public function small_numbers_and_places_are_words_or_figures(): void
    {
        self::assertSame([1, 1, 2, 12, 7, 0], array_map(Numbers::count(...), ['a', 'An', 'two', 'twelve', '7', 'many']));
        self::assertSame([1, 2, 2, 3, -1, 15], array_map(Numbers::ordinal(...), ['first', 'Second', 'other', '3rd', 'last', '15th']));
    }
}
