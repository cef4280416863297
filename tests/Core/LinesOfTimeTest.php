<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Capture\HoursLine;
use Nekto\Core\Capture\HoursLineReader;
use Nekto\Core\Capture\LineParser;
use Nekto\Core\Capture\MeetingLine;
use Nekto\Core\Capture\RoutineLine;
use Nekto\Core\Capture\UnclearHours;
use Nekto\Core\Hours\HoursReader;
use Nekto\Core\Time\LocalDay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Lines that say when: dates with other hours, meetings, time of every week. Seen from Wednesday 11 March 2026, 10:20. */
final class LinesOfTimeTest extends TestCase
{
    private const NOW = 620;

    #[Test]
    #[DataProvider('dates')]
    public function dates_and_their_hours_are_said_in_one_line(string $text, string $first, string $last, string $hours, string $name = '', bool $everywhere = false): void
    {
        $line = (new HoursLineReader(self::today()))->read($text);

        self::assertInstanceOf(HoursLine::class, $line, $text);
        self::assertSame([$first, $last, $hours, $name, $everywhere], [$line->first->asString(), $line->last->asString(), implode(' ', array_map(static fn (array $pair): string => implode('–', $pair), HoursReader::pairs($line->stretches))), $line->name, $line->everywhere]);
    }

    /** @return list<array{string, string, string, string}> */
    public static function dates(): array
    {
        return [
            ['3–6 april closed', '2026-04-03', '2026-04-06', ''], ['april 3-6 closed', '2026-04-03', '2026-04-06', ''], ['18 april 10:00–16:00', '2026-04-18', '2026-04-18', '10:00–16:00'],
            ['18 april 10:00–16:00 build-up, room 1', '2026-04-18', '2026-04-18', '10:00–16:00', 'build-up, room 1'], ['24 december 9-12 and 13-14', '2026-12-24', '2026-12-24', '09:00–12:00 13:00–14:00'],
            ['28 december – 3 january closed', '2026-12-28', '2027-01-03', ''], ['next week off', '2026-03-16', '2026-03-22', '', '', true], ['tomorrow closed', '2026-03-12', '2026-03-12', ''],
            ['1 may day off Labour day', '2026-05-01', '2026-05-01', '', 'Labour day', true], ['2026-04-03 closed', '2026-04-03', '2026-04-03', ''], ['18.4. 10-16', '2026-04-18', '2026-04-18', '10:00–16:00'],
        ];
    }

    #[Test]
    #[DataProvider('unclear')]
    public function a_line_that_says_no_day_or_no_hours_says_why(string $text, UnclearHours $why): void
    {
        self::assertSame($why, (new HoursLineReader(self::today()))->read($text));
    }

    /** @return list<array{string, UnclearHours}> */
    public static function unclear(): array
    {
        return [
            ['closed', UnclearHours::NoDay], ['', UnclearHours::NoDay], ['good friday closed', UnclearHours::NoDay], ['18 april', UnclearHours::NoHours], ['31 april closed', UnclearHours::NoSuchDay],
            ['6-3 april closed', UnclearHours::BackToFront], ['18 april 16:00-10:00', UnclearHours::BadHours], ['3 april 2026 – 6 april 2028 closed', UnclearHours::TooLong],
        ];
    }

    #[Test]
    public function a_night_of_a_date_reaches_into_the_next(): void
    {
        $line = (new HoursLineReader(self::today()))->read('friday 22:00-02:00');

        self::assertInstanceOf(HoursLine::class, $line);
        self::assertSame([[['22:00', '24:00']], [['00:00', '02:00']]], [HoursReader::pairs($line->stretches), HoursReader::pairs($line->next)]);
    }

    #[Test]
    public function both_days_of_a_span_are_read_the_same_way(): void
    {
        foreach ([[false, '2026-04-03', '2026-06-03'], [true, '2026-03-14', '2026-03-16']] as [$monthFirst, $first, $last]) {
            $line = (new HoursLineReader(self::today(), $monthFirst))->read($monthFirst ? '3/14 – 3/16 closed' : '3/4 – 3/6 closed');

            self::assertInstanceOf(HoursLine::class, $line);
            self::assertSame([$first, $last], [$line->first->asString(), $line->last->asString()]);
        }
    }

    /** @param  array{string, string, int|null, int, string|null, string|null}|null  $is */
    #[Test]
    #[DataProvider('meetings')]
    public function a_meeting_is_typed_like_a_thought(string $text, ?array $is): void
    {
        $line = MeetingLine::of(self::parser()->parse(MeetingLine::prepared($text)), self::today(), self::NOW);

        self::assertSame($is, $line === null ? null : [$line->title, $line->day->asString(), $line->minute, $line->minutes, $line->rule, $line->place]);
    }

    /** @return list<array{string, array{string, string, int|null, int, string|null, string|null}|null}> */
    public static function meetings(): array
    {
        return [
            ['meet Adaeze thu 14:00 for 45 min in room 2', ['meet Adaeze', '2026-03-12', 840, 45, null, 'room 2']], ['call Wim tomorrow 10-11:30', ['call Wim', '2026-03-12', 600, 90, null, null]],
            ['workshop friday 9-12', ['workshop', '2026-03-13', 540, 180, null, null]], ['stand-up every weekday at 9:15 for 15 min', ['stand-up', '2026-03-12', 555, 15, 'FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR', null]],
            ['every thursday 14:00 loans committee until 30 june in the board room', ['loans committee', '2026-03-12', 840, 60, 'FREQ=WEEKLY;BYDAY=TH;UNTIL=20260630', 'the board room']],
            ['dinner friday 7pm at the Noon Café', ['dinner', '2026-03-13', 1140, 60, null, 'the Noon Café']], ['conference 14 april', ['conference', '2026-04-14', null, 60, null, null]],
            ['lunch 12:30', ['lunch', '2026-03-11', 750, 60, null, null]], ['breakfast 9:00', ['breakfast', '2026-03-12', 540, 60, null, null]], ['party friday 22:00 for 5 h', ['party', '2026-03-13', 1320, 300, null, null]],
            ['meet Prue', null], ['lunch today 9:00', null], ['', null],
        ];
    }

    /** @param  array{string, int, int, string, bool}|null  $is */
    #[Test]
    #[DataProvider('routines')]
    public function time_of_every_week_is_said_in_one_line(string $text, ?array $is): void
    {
        $line = RoutineLine::of(self::parser()->parse($text));

        self::assertSame($is, $line === null ? null : [$line->title, $line->minute, $line->minutes, implode(',', $line->days), $line->deep]);
    }

    /** @return list<array{string, array{string, int, int, string, bool}|null}> */
    public static function routines(): array
    {
        return [
            ['mail 30 min at nine on weekdays', ['mail', 540, 30, 'mon,tue,wed,thu,fri', false]], ['every friday 15:00 review, 1 h', ['review', 900, 60, 'fri', false]],
            ['focus every mon, wed 9:00 for 2 h deep', ['focus', 540, 120, 'mon,wed', true]], ['stretch daily at 11:00 for 10 min', ['stretch', 660, 10, 'mon,tue,wed,thu,fri,sat,sun', false]],
            ['mail daily at 9:00 until 30 june', ['mail', 540, 30, 'mon,tue,wed,thu,fri,sat,sun', false]], ['mail daily at 9:00, 6 times', null], ['mail at 9:00', null], ['every 2 weeks on tue 9:00 review', null], ['mail every weekday', null], ['every first monday of the month 9:00 review', null],
        ];
    }

    private static function today(): LocalDay
    {
        return LocalDay::of(2026, 3, 11);
    }

    private static function parser(): LineParser
    {
        return new LineParser(self::today(), self::NOW);
    }
}
