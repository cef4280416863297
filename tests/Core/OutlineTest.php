<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Capture\Outline;
use Nekto\Core\Capture\OutlineItem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Pasted lists. */
final class OutlineTest extends TestCase
{
    use TestTrait;

    /** @param  list<array{string, bool, int, list<string>}>  $items  text, ticked, line, subtasks */
    #[Test]
    #[DataProvider('lists')]
    public function a_list_is_taken_apart(string $text, array $items): void
    {
        self::assertSame($items, array_map(
            static fn (OutlineItem $item): array => [$item->text, $item->done, $item->line, array_map(static fn (OutlineItem $one): string => $one->text, $item->under)],
            Outline::of($text),
        ));
    }

    /** @return array<string, array{string, list<array{string, bool, int, list<string>}>}> */
    public static function lists(): array
    {
        return [
            'plain lines' => ["One\nTwo", [['One', false, 1, []], ['Two', false, 2, []]]],
            'blank lines between' => ["\n\nOne\n \n\tTwo\n", [['One', false, 3, ['Two']]]],
            'windows line ends' => ["One\r\n  Two\r\nThree", [['One', false, 1, ['Two']], ['Three', false, 3, []]]],
            'dashes, stars, bullets' => ["- One\n* Two\n• Three\n– Four", [['One', false, 1, []], ['Two', false, 2, []], ['Three', false, 3, []], ['Four', false, 4, []]]],
            'numbers and letters' => ["1. One\n2) Two\na) Three", [['One', false, 1, []], ['Two', false, 2, []], ['Three', false, 3, []]]],
            'boxes' => ["- [ ] One\n- [x] Two\n[X] Three\n☑ Four\n☐ Five", [['One', false, 1, []], ['Two', true, 2, []], ['Three', true, 3, []], ['Four', true, 4, []], ['Five', false, 5, []]]],
            'a heading' => ['## Room 3', [['Room 3', false, 1, []]]],
            'deeper than one level' => ["One\n  Two\n    Three\nFour", [['One', false, 1, ['Two', 'Three']], ['Four', false, 4, []]]],
            'a list that is indented as a whole' => ["    One\n        Two\n    Three", [['One', false, 1, ['Two']], ['Three', false, 3, []]]],
            'indented more at first' => ["    One\nTwo\n  Three", [['One', false, 1, []], ['Two', false, 2, ['Three']]]],
            'what is no mark' => ["3 crates\n-5 degrees\n*bold* words\n[draft] letter", [['3 crates', false, 1, []], ['-5 degrees', false, 2, []], ['*bold* words', false, 3, []], ['[draft] letter', false, 4, []]]],
            'nothing' => [" \n\t\n", []],
            'only marks' => ["-\n- \n[ ]", [['-', false, 1, []], ['-', false, 2, []]]],
        ];
    }

    #[Test]
    public function no_word_is_lost_and_lines_keep_their_order(): void
    {
        $line = Generators::tuple(Generators::elements('', '  ', "\t", '      '), Generators::elements('', '- ', '[x] ', '1. '), Generators::elements('One', 'Two words', 'Ünïcode', ''));
        $this->limitTo(Runs::of(300))->forAll(Generators::vector(8, $line))->then(static function (array $lines): void {
            $words = $numbers = [];
            foreach (Outline::of(implode("\n", array_map(implode(...), $lines))) as $item) {
                foreach ([$item, ...$item->under] as $one) {
                    $words[] = $one->text;
                    $numbers[] = $one->line;
                }
            }
            $kept = array_filter($lines, static fn (array $parts): bool => $parts[2] !== '');

            self::assertSame(array_column(array_values($kept), 2), array_values(array_filter($words, static fn (string $text): bool => preg_match('/\p{L}/u', $text) === 1)));
            self::assertSame($numbers, array_unique($numbers));
            $sorted = $numbers;
            sort($sorted);
            self::assertSame($sorted, $numbers);
        });
    }

    #[Test]
    public function where_nothing_is_nested_every_line_is_an_item(): void
    {
        self::assertSame(['One', 'Two'], array_map(static fn (OutlineItem $item): string => $item->text, Outline::of("One\n   Two", nested: false)));
    }
}
