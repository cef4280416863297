<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/** Finds a duration such as "90 min", "1h30", "two hours" or "half an hour" in a text. */
final class DurationReader
{
    /** A task longer than 100 hours is a project, or a slip of the finger. */
    public const MOST_MINUTES = 6000;

    private const WORDS = ['a' => 1, 'an' => 1, 'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5,
        'six' => 6, 'seven' => 7, 'eight' => 8, 'nine' => 9, 'ten' => 10];

    /** The first duration in the text, with "for" before it if there is one; null if there is none. */
    public static function find(string $text): ?Understood
    {
        foreach (self::patterns() as $name => $pattern) {
            if (preg_match("/{$pattern}/iu", $text, $match, PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL) !== 1) {
                continue;
            }
            $part = array_map(static fn (?array $group): string => (string) ($group[0] ?? ''), $match);
            $minutes = self::amount($name, $part);
            $problem = match (true) {
                ($part['sign'] ?? '') !== '' || $minutes < 1 => Problem::NotPositive,
                $minutes > self::MOST_MINUTES => Problem::TooLong,
                default => null,
            };

            return new Understood(
                Kind::Minutes,
                mb_strlen(substr($text, 0, (int) $match[0][1])),
                mb_strlen((string) $match[0][0]),
                minutes: $problem === null ? (int) round($minutes) : null,
                problem: $problem,
            );
        }

        return null;
    }

    /** Minutes of a text that is a duration and nothing else, where a bare number means minutes; or what is wrong with it. */
    public static function read(string $text): int|Problem
    {
        $text = trim($text);
        if (preg_match('/^[-−]?\d+$/Du', $text) === 1) {
            $text .= ' min';
        }
        $found = self::find($text);
        if ($found === null || $found->length !== mb_strlen($text)) {
            return Problem::NoDuration;
        }

        return $found->problem ?? (int) $found->minutes;
    }

    /** @return array<string, string> */
    private static function patterns(): array
    {
        $lead = '(?<![\w.,\/])(?:for\s+)?(?<sign>[-−])?\s?';

        return [
            'hours' => $lead.'(?<hours>\d+(?:[.,]\d+)?)\s?h(?:(?:ou)?rs?)?(?:\s?(?<minutes>[0-5]?\d)(?:\s?min(?:ute)?s?)?)?(?![\w:])',
            'minutes' => $lead.'(?<minutes>\d+)\s?min(?:ute)?s?(?!\w)',
            'half' => '(?<!\w)(?:for\s+)?half\s+an\s+hour(?!\w)',
            'quarter' => '(?<!\w)(?:for\s+)?(?<word>a|three)\s+quarters?\s+of\s+an\s+hour(?!\w)',
            'words' => '(?<!\w)(?:for\s+)?(?<word>'.implode('|', array_keys(self::WORDS)).')\s+hours?(?<half>\s+and\s+a\s+half)?(?!\w)',
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
            'quarter' => $word === 'a' ? 15.0 : 45.0,
            default => 60.0 * (self::WORDS[$word] ?? 0) + (($part['half'] ?? '') === '' ? 0 : 30),
        };
    }
}
