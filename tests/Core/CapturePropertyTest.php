<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Capture\DayReader;
use Nekto\Core\Capture\Line;
use Nekto\Core\Capture\LineParser;
use Nekto\Core\Capture\Understood;
use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Whatever is typed: no word is lost, no place is wrong. */
final class CapturePropertyTest extends TestCase
{
    use TestTrait;

    private const WORDS = [
        'Draft', 'the', 'wall', 'text', 'by', 'friday', 'for', '90', 'min', '1h30', 'vital', ',', 'noon', '31', 'feb', 'end', 'of', 'month', 'due', 'half', 'an',
        'hour', '-5', 'importance', 'high', '14/3', 'Zoë', 'at', '25:00', 'tomorrow', '–', '2026-03-13', 'room', '2', 'quarter', 'a', 'every', 'monday', 'on', 'from', '15:00', '@desk', '+tour', 'waiting', 'Ana', 'weeks', 'after', 'done', 'until', 'morning',
        'https://example.org', 'two', 'last',
    ];

    #[Test]
    public function every_word_is_in_the_title_or_was_understood(): void
    {
        $this->forAllLines(function (Line $line): void {
            $left = $line->text;
            foreach (array_reverse(self::taken($line)) as $part) {
                $left = mb_substr($left, 0, $part->start).' '.mb_substr($left, $part->start + $part->length);
            }
            $words = static fn (string $text): array => preg_split('/[\s,;:.–-]+/u', trim($text, " ,;\t"), -1, PREG_SPLIT_NO_EMPTY) ?: [];

            self::assertSame($words($left) === [] ? $words($line->text) : $words($left), $words($line->title));
        });
    }

    #[Test]
    #[TestWith(['https://example.org – 1h30 min due at noon'])]
    #[TestWith(['— 45 min'])]
    public function a_line_of_nothing_but_facts_is_its_own_title(string $line): void
    {
        self::assertSame($line, self::parser()->parse($line)->title);
    }

    #[Test]
    public function parts_lie_in_the_line_in_order_and_apart(): void
    {
        $this->forAllLines(function (Line $line): void {
            $end = 0;
            foreach ($line->parts as $part) {
                self::assertGreaterThanOrEqual($end, $part->start);
                self::assertGreaterThan(0, $part->length);
                $end = $part->start + $part->length;
            }
            self::assertLessThanOrEqual(mb_strlen($line->text), $end);
        });
    }

    #[Test]
    public function the_title_alone_says_nothing_more_of_what_was_understood_first(): void
    {
        $this->forAllLines(function (Line $line): void {
            self::assertSame($line->text, self::parser()->parse($line->text)->text, 'once cleaned, always clean');
            self::assertNotSame('', $line->title);
        });
    }

    #[Test]
    #[DataProvider('days')]
    public function phrases_name_days_seen_from_another_day(string $today, string $phrase, string $day): void
    {
        self::assertSame($day, (new DayReader(LocalDay::fromString($today)))->read($phrase)->asString());
    }

    /** @return list<array{string, string, string}> */
    public static function days(): array
    {
        return [
            ['2026-12-31', 'tomorrow', '2027-01-01'], ['2026-12-31', 'end of month', '2026-12-31'], ['2026-12-31', 'end of the year', '2026-12-31'],
            ['2026-12-31', '1 jan', '2027-01-01'], ['2026-12-30', 'friday', '2027-01-01'], ['2026-12-27', 'end of week', '2026-12-27'],
            ['2026-12-27', 'monday', '2026-12-28'], ['2026-12-27', 'next monday', '2026-12-28'], ['2026-12-28', 'next monday', '2027-01-04'],
            ['2026-12-28', 'mon', '2027-01-04'], ['2024-02-28', 'end of month', '2024-02-29'], ['2024-02-28', '29 feb', '2024-02-29'],
            ['2024-03-01', '29 February', '2028-02-29'], ['2026-03-11', '11 march', '2026-03-11'], ['2026-03-11', 'March 10', '2027-03-10'],
            ['2026-03-11', '10.3.2026', '2026-03-10'], ['2026-03-11', '1st of April', '2026-04-01'], ['2026-03-11', 'sept 22nd, 2026', '2026-09-22'],
        ];
    }

    #[Test]
    public function no_phrase_that_is_matched_does_more_than_say_there_is_no_such_day(): void
    {
        $this->limitTo(Runs::of(300))->forAll(Generators::choose(0, 45), Generators::choose(0, 20), Generators::elements(...['%d/%d', '%2$d-%1$d', '2026-%2$02d-%1$02d', '%d.%d.2027']))
            ->then(function (int $day, int $month, string $form): void {
                $phrase = sprintf($form, $day, $month);
                if (preg_match('/^(?:'.DayReader::PHRASE.')$/Di', $phrase) !== 1) {
                    self::assertTrue($form === '%2$d-%1$d' || $day > 31 || $day < 1 || $month > 12 || $month < 1, "{$phrase} is a day"); // "3-14" may be a sum

                    return;
                }
                try {
                    $read = (new DayReader(LocalDay::of(2026, 3, 11)))->read($phrase);
                    $other = $form === '%d/%d' && $month > 12; // of which only one reading is a date
                    self::assertSame($other ? [$month, $day] : [$day, $month], [$read->dayOfMonth(), $read->month()]);
                } catch (InvalidTime) {
                    self::assertFalse(checkdate($month, $day, str_contains($phrase, '2027') ? 2027 : 2026), $phrase);
                }
            });
    }

    /** @param  \Closure(Line): void  $check */
    private function forAllLines(\Closure $check): void
    {
        $this->limitTo(Runs::of(250))->forAll(Generators::vector(7, Generators::elements(...self::WORDS)))->then(static function (array $words) use ($check): void {
            $check(self::parser()->parse(implode(' ', $words)));
        });
    }

    /** @return list<Understood> */
    private static function taken(Line $line): array
    {
        return array_values(array_filter($line->parts, static fn (Understood $part): bool => $part->problem === null));
    }

    private static function parser(): LineParser
    {
        return new LineParser(LocalDay::of(2026, 3, 11), 620);
    }
}
