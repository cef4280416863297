<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/** Small numbers as people write them. */
final class Numbers
{
    /** Matches what count() reads. */
    public const COUNT = '(?:(?:a\s+)?couple\s+of|\d{1,3}|an?|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)';

    /** Matches what ordinal() reads. */
    public const ORDINAL = '(?:first|second|third|fourth|fifth|last|\d{1,2}(?:st|nd|rd|th))';

    private const WORDS = [
        'a' => 1, 'an' => 1, 'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8,
        'nine' => 9, 'ten' => 10, 'eleven' => 11, 'twelve' => 12,
    ];

    private const PLACES = ['first' => 1, 'second' => 2, 'third' => 3, 'fourth' => 4, 'fifth' => 5, 'last' => -1, 'other' => 2];

    public static function count(string $word): int
    {
        return str_ends_with(strtolower($word), 'of') ? 2 : self::WORDS[strtolower($word)] ?? (int) $word;
    }

    /** −1 for the last; "other" counts as the second. */
    public static function ordinal(string $word): int
    {
        return self::PLACES[strtolower($word)] ?? (int) $word;
    }
}
