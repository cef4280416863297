<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/** Finds a duration such as "90 min", "1h30", "two hours" or "half an hour" in a text. */
final class DurationReader
{
    /** A task longer than 100 hours is a project, or a slip of the finger. */
    public const MOST_MINUTES = 6000;

    private const WORDS = ['a' => 1, 'an' => 1, 'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5,
        'six' => 6, 'seven' => 7, 'eight' => 8, 'nine' => 9, 'ten' => 10, 'fifteen' => 15, 'twenty' => 20, 'thirty' => 30,
        'forty-five' => 45, 'forty' => 40, 'fifty' => 50, 'ninety' => 90];

    /** Takes the first duration of a line. */
    public static function readFrom(Phrase $phrase): void
    {
        foreach (self::patterns() as $name => $pattern) {
            $phrase->look(Kind::Minutes, $pattern, static fn (array $part): int|Problem => self::minutes($name, $part));
        }
    }

    /** @param  array<string, string>  $part */
    private static function minutes(string $name, array $part): int|Problem
    {
        $minutes = self::amount($name, $part);

        return match (true) {
            ($part['sign'] ?? '') !== '' || $minutes < 1 => Problem::NotPositive,
            $minutes > self::MOST_MINUTES => Problem::TooLong,
            default => (int) round($minutes),
        };
    }

    /** @return array{string, int|null} a text without its duration, and that in minutes */
    public static function apart(string $text): array
    {
        $phrase = new Phrase($text, []);
        self::readFrom($phrase);
        foreach ($phrase->parts() as $part) {
            if (is_int($part->value)) {
                $rest = trim((string) preg_replace('/\s+/u', ' ', mb_substr($text, 0, $part->start).mb_substr($text, $part->start + $part->length)), ' ,;');

                return $rest === '' ? [$text, null] : [$rest, $part->value];
            }
        }

        return [$text, null];
    }

    /** Minutes of a text that is a duration and nothing else, where a bare number means minutes; or what is wrong with it. */
    public static function read(string $text): int|Problem
    {
        $text = trim($text);
        if (preg_match('/^[-−]?\d+$/Du', $text) === 1) {
            $text .= ' min';
        }
        $phrase = new Phrase($text, []);
        self::readFrom($phrase);
        $found = $phrase->parts()[0] ?? null;
        if ($found === null || $found->length !== mb_strlen($text)) {
            return Problem::NoDuration;
        }

        return $found->problem ?? (is_int($found->value) ? $found->value : Problem::NoDuration);
    }

    /** @return array<string, string> */
    private static function patterns(): array
    {
        $not = '(?<!\bin\s)(?<!\bevery\s)(?<!\bafter\s)(?<!\bwithin\s)(?<!\bevery\sother\s)';
        $for = '(?:(?:takes\s+)?(?:for\s+)?(?:about\s+|around\s+|roughly\s+|max(?:imum)?\.?\s+|at\s+most\s+|~\s?|ca\.?\s+)?)';
        $lead = $not.'(?<![\w.,\/:])'.$for.'(?<sign>[-−])?\s?';
        $words = implode('|', array_keys(self::WORDS));
        $stop = '(?![\w-])(?!\s+(?:after|before|later|ago|per|a\s+(?:day|week|month))\b)';

        return [
            'halves' => $not.'(?<!\w)'.$for.'(?<word>'.$words.'|\d+)\s+(?:and\s+a\s+half\s+hours?|hours?\s+and\s+a\s+half)'.$stop,
            'hours' => $lead.'(?<hours>\d+(?:[.,]\d+)?)\s?h(?:(?:ou)?rs?)?(?:\s?(?:and\s+)?(?<minutes>[0-5]?\d)(?:\s?m(?:in(?:ute)?s?)?)?(?![\w:]))?(?![\w:])'.$stop,
            'minutes' => $lead.'(?<minutes>\d+)(?:\s?min(?:ute)?s?\.?|(?<=\d)(?:m|′|\')(?<=for\s\d\dm|for\s\dm|for\s\d\d\dm)|-min(?:ute)?s?)(?!\w)'.$stop,
            'half' => $not.'(?<!\w)'.$for.'half\s+(?:an\s+)?hour'.$stop,
            'quarter' => $not.'(?<!\w)'.$for.'(?<word>a|three)\s+quarters?\s+(?:of\s+)?an\s+hour'.$stop,
            'both' => $not.'(?<!\w)'.$for.'(?<word>'.$words.')\s+hours?\s+(?:and\s+)?(?<minutes>\d+|'.$words.'|fifteen|twenty|thirty|forty)\s+min(?:ute)?s?'.$stop,
            'words' => $not.'(?<!\w)'.$for.'(?<word>'.$words.')\s+hours?'.$stop,
            'few' => $not.'(?<!\w)'.$for.'(?<word>'.$words.'|fifteen|twenty|thirty|forty|forty-five|fifty|ninety)\s+min(?:ute)?s?'.$stop,
        ];
    }

    /** @param  array<array-key, string>  $part */
    private static function amount(string $name, array $part): float
    {
        $word = strtolower($part['word'] ?? '');

        return match ($name) {
            'hours' => 60 * (float) strtr($part['hours'] ?? '', ',', '.') + (float) ($part['minutes'] ?? 0),
            'minutes' => (float) ($part['minutes'] ?? 0),
            'half' => 30.0,
            'quarter' => $word === 'three' ? 45.0 : 15.0,
            'halves' => 60.0 * self::number($word) + 30,
            'both' => 60.0 * self::number($word) + self::number(strtolower($part['minutes'] ?? '')),
            'few' => (float) self::number($word),
            default => 60.0 * self::number($word),
        };
    }

    private static function number(string $word): int
    {
        return self::WORDS[$word] ?? (int) $word;
    }
}
