<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/**
 * How often a week, as a line says it, and the rest of the line: "canal loop 30 min 3 times a week in the evening", "stretch
 * twice a week", "read every day". Without a word about it, once.
 */
final readonly class HabitLine
{
    private const WORDS = ['once' => 1, 'twice' => 2, 'thrice' => 3, 'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7];

    private const OFTEN = '/\s*\b(?:(?<word>once|twice|thrice)|(?<times>\d{1,2}|one|two|three|four|five|six|seven)\s*(?:x|×|times))\s*(?:a|per|each|every|\/)\s*week\b\s*/iu';

    private const DAILY = '/\s*\b(?:every\s*day|each\s*day|daily)\b\s*/iu';

    /** @param  int  $times  a week, as it is written: 0 and 12 too */
    private function __construct(public int $times, public string $rest) {}

    public static function of(string $text): self
    {
        if (preg_match(self::OFTEN, $text, $part) === 1) {
            $said = mb_strtolower($part['word'] !== '' ? $part['word'] : $part['times']);

            return new self(self::WORDS[$said] ?? (int) $said, self::without(self::OFTEN, $text));
        }
        if (preg_match(self::DAILY, $text) === 1) {
            return new self(7, self::without(self::DAILY, $text));
        }

        return new self(1, trim($text));
    }

    private static function without(string $pattern, string $text): string
    {
        return trim(str_replace(' ,', ',', (string) preg_replace($pattern, ' ', $text, 1)), " ,;\t");
    }
}
