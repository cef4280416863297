<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Capture\DurationReader;
use Nekto\Core\Capture\Kind;
use Nekto\Core\Capture\Line;
use Nekto\Core\Capture\LineParser;
use Nekto\Core\Capture\Problem;
use Nekto\Core\Time\LocalDay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Typed on Wednesday 11 March 2026 at 10:20. */
final class LineParserTest extends TestCase
{
    #[Test]
    #[DataProvider('lines')]
    public function a_line_is_understood(string $typed, string $title, ?int $minutes, ?string $due, ?string $importance): void
    {
        $line = self::parse($typed);
        $day = $line->due();

        self::assertSame(
            [$title, $minutes, $due, $importance],
            [$line->title, $line->minutes(), $day === null ? null : trim($day->day->asString().' '.$day->minuteOfDay), $line->importance()?->word()],
        );
    }

    /** @return list<array{string, string, int|null, string|null, string|null}> typed; title, minutes, due day and minute, importance */
    public static function lines(): array
    {
        return [
            ['Draft the wall text for room 2 for 90 min by friday', 'Draft the wall text for room 2', 90, '2026-03-13', null],
            ['Send Ghent the second fee letter by Friday noon, 25 min, vital', 'Send Ghent the second fee letter', 25, '2026-03-13 720', 'vital'],
            ['Report by 14 march 3pm for 1h30', 'Report', 90, '2026-03-14 900', null],
            ['Report by March 14, 15:30', 'Report', null, '2026-03-14 930', null],
            ['Budget by end of month, high importance', 'Budget', null, '2026-03-31', 'high'],
            ['Budget due on 2026-04-02', 'Budget', null, '2026-04-02', null],
            ['Budget by 2 january', 'Budget', null, '2027-01-02', null],
            ['Budget by 13/3', 'Budget', null, '2026-03-13', null],
            ['Budget by end of the week', 'Budget', null, '2026-03-15', null],
            ['Call by today 17:00', 'Call', null, '2026-03-11 1020', null],
            ['Call by tomorrow at 9am', 'Call', null, '2026-03-12 540', null],
            ['Call by wednesday', 'Call', null, '2026-03-18', null],
            ['Call by next friday', 'Call', null, '2026-03-20', null],
            ['Call by 29 february', 'Call', null, '2028-02-29', null],
            ['Call half an hour', 'Call', 30, null, null],
            ['Call, a quarter of an hour', 'Call', 15, null, null],
            ['Read two hours and a half', 'Read', 150, null, null],
            ['Read 1.5 hours', 'Read', 90, null, null],
            ['Read for 1 h 20', 'Read', 80, null, null],
            ['Read 45 minutes, low', 'Read', 45, null, 'low'],
            ['Proofs for section 3, importance medium', 'Proofs for section 3', null, null, 'medium'],
            // what only looks like it
            ['Check vital signs', 'Check vital signs', null, null, null],
            ['High water by the bridge', 'High water by the bridge', null, null, null],
            ['Walk by the canal on friday', 'Walk by the canal on friday', null, null, null],
            ['Hang the 12 m banner in room 4', 'Hang the 12 m banner in room 4', null, null, null],
            ['Version 2.5 horses', 'Version 2.5 horses', null, null, null],
            // nothing is left over: the words stay
            ['90 min', '90 min', 90, null, null],
        ];
    }

    #[Test]
    #[DataProvider('slips')]
    public function what_cannot_be_is_named_and_stays_in_the_title(string $typed, Problem $problem): void
    {
        $line = self::parse($typed);

        self::assertSame($typed, $line->title);
        self::assertSame([$problem], array_map(static fn ($part): ?Problem => $part->problem, $line->parts));
        self::assertNull($line->due());
        self::assertNull($line->minutes());
    }

    /** @return list<array{string, Problem}> */
    public static function slips(): array
    {
        return [
            ['Pay by 31 feb', Problem::NoSuchDate], ['Pay by 2026-13-40', Problem::NoSuchDate], ['Pay by 32/1', Problem::NoSuchDate],
            ['Pay by friday 25:00', Problem::NoSuchTime], ['Pay by friday 13pm', Problem::NoSuchTime],
            ['Pay by 2026-03-01', Problem::BeforeNow], ['Pay by today 09:00', Problem::BeforeNow],
            ['Pay -30 min', Problem::NotPositive], ['Pay 0 min', Problem::NotPositive],
            ['Pay for 101 hours', Problem::TooLong], ['Pay 99999999999999999999 min', Problem::TooLong],
        ];
    }

    #[Test]
    public function exactly_a_hundred_hours_are_still_a_task(): void
    {
        self::assertSame(6000, self::parse('Move house 100 hours')->minutes());
    }

    #[Test]
    public function refused_words_stay_plain_words(): void
    {
        $line = self::parse('Read 30 min by friday', [Kind::Due]);

        self::assertSame(['Read by friday', 30, null], [$line->title, $line->minutes(), $line->due()]);
    }

    #[Test]
    public function places_are_counted_in_characters(): void
    {
        $line = self::parse('Tomás: Café für Zoë 30 min');

        self::assertSame('30 min', mb_substr($line->text, $line->parts[0]->start, $line->parts[0]->length));
    }

    #[Test]
    public function no_line_is_too_strange(): void
    {
        foreach (["\0\x01\x02", "\xff\xfe", str_repeat('by ', 50_000), str_repeat('9', 10_000).' min', '‮by friday‬', '😀 by 😀', ''] as $typed) {
            self::assertLessThanOrEqual(2000, mb_strlen(self::parse($typed)->title));
        }
    }

    #[Test]
    public function a_form_takes_the_same_durations_and_bare_minutes(): void
    {
        self::assertSame([90, 90, 90, 45, 60], array_map(DurationReader::read(...), ['90', '1 h 30', ' 1h30 ', '45 min', 'an hour']));
        self::assertSame(
            [Problem::NoDuration, Problem::NotPositive, Problem::TooLong, Problem::NoDuration],
            array_map(DurationReader::read(...), ['soon', '-5', '6001', '30 min or so']),
        );
    }

    /** @param  list<Kind>  $refused */
    private static function parse(string $typed, array $refused = []): Line
    {
        return (new LineParser(LocalDay::of(2026, 3, 11), 620))->parse($typed, $refused);
    }
}
