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
    #[DataProvider('phrases')]
    public function a_line_is_understood(string $typed, string $title, string $facts): void
    {
        $line = self::parse($typed);
        $found = [
            'on' => $line->at() === null ? $line->on()?->asString() : null, 'due' => $line->due()?->asString(), 'start' => $line->start()?->asString(), 'at' => $line->at()?->asString(),
            'minutes' => $line->minutes(), 'repeat' => $line->repeat()->rule ?? $line->repeat()?->afterDone, 'importance' => $line->importance()?->word(),
            'demand' => $line->demand()?->value, 'part' => $line->name(Kind::Part), 'project' => $line->name(Kind::Project),
            'contexts' => implode(',', $line->contexts()), 'waitingFor' => $line->name(Kind::Waiting), 'ask' => $line->ask()?->asString(), 'link' => $line->name(Kind::Link),
        ];
        $found = array_filter($found, static fn (int|string|null $value): bool => $value !== null && $value !== '');

        self::assertSame($title, $line->title);
        self::assertSame($facts, implode('; ', array_map(static fn (string $name, int|string $value): string => "{$name} {$value}", array_keys($found), $found)));
    }

    /** @return list<array{string, string, string}> of phrases.txt: typed, title and what was understood */
    public static function phrases(): array
    {
        return array_map(static function (string $row): array {
            [$typed, $title, $facts] = [...array_map(trim(...), explode(' | ', "{$row} ")), '', ''];

            return [$typed, rtrim($title, ' |'), $facts];
        }, file(__DIR__.'/phrases.txt', FILE_IGNORE_NEW_LINES) ?: []);
    }

    #[Test]
    public function the_month_comes_first_by_setting(): void
    {
        $parser = new LineParser(LocalDay::of(2026, 3, 11), 620, monthFirst: true);

        self::assertSame('2026-03-14', $parser->parse('Pay by 3/14')->due()?->asString());
        self::assertSame('2026-04-03', self::parse('Pay by 3/4')->due()?->asString());
    }

    #[Test]
    public function known_projects_are_understood_by_their_names(): void
    {
        $parser = new LineParser(LocalDay::of(2026, 3, 11), 620, projects: ['Lender', 'Lender agreements']);
        $line = $parser->parse('Send Ghent the letter, for lender agreements');

        self::assertSame(['Send Ghent the letter', 'Lender agreements'], [$line->title, $line->name(Kind::Project)]);
        self::assertNull($parser->parse('Room for lender things')->name(Kind::Project));
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
        self::assertSame('Send the letter by friday noon', self::parse('Send the letter by friday noon, 25 min', ['due by friday noon'])->title);
        $line = self::parse('Read 30 min by friday', ['due']);
        $second = self::parse('Read @desk by friday by monday @phone', ['due by friday', 'context @desk']);

        self::assertSame(['Read by friday', 30, null], [$line->title, $line->minutes(), $line->due()]);
        self::assertSame(['Read @desk by friday', '2026-03-16', ['phone']], [$second->title, $second->due()?->asString(), $second->contexts()]);
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
            array_map(DurationReader::read(...), ['soon', '-5', '6001', '30 min perhaps']),
        );
    }

    /** @param  list<string>  $refused */
    private static function parse(string $typed, array $refused = []): Line
    {
        return (new LineParser(LocalDay::of(2026, 3, 11), 620))->parse($typed, $refused);
    }
}
