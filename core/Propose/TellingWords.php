<?php

declare(strict_types=1);

namespace Nekto\Core\Propose;

use Nekto\Core\Text\Folded;

/** The words of a line that may tell what kind of work it is: small letters, no accents, without what every line has. */
final class TellingWords
{
    private const EVERYWHERE = [
        'the', 'and', 'for', 'with', 'from', 'about', 'into', 'that', 'this', 'what', 'when', 'all', 'any', 'are', 'has', 'have', 'not', 'our', 'out', 'own', 'per', 'see', 'get', 'its', 'was',
        'will', 'you', 'your', 'new', 'old', 'one', 'two', 'more', 'again', 'some', 'their', 'them', 'then', 'than', 'before', 'after', 'until', 'als', 'und', 'der', 'die', 'das', 'mit', 'les', 'des', 'pour', 'para', 'com', 'por',
    ];

    /** @return list<string> each once; a plural as its singular */
    public static function of(string $line): array
    {
        $words = [];
        foreach (Folded::words($line) as $word) {
            if (mb_strlen($word) >= 3 && ! ctype_digit($word) && ! in_array($word, self::EVERYWHERE, true)) {
                $words[self::singular($word)] = true;
            }
        }

        return array_map(strval(...), array_keys($words));
    }

    /** The word of a line that such a word stands for, as it was typed. */
    public static function typed(string $line, string $word): string
    {
        foreach (preg_split('/[^\p{L}\p{N}]+/u', $line) ?: [] as $typed) {
            if ($typed !== '' && self::singular(Folded::of($typed)) === $word) {
                return $typed;
            }
        }

        return $word;
    }

    private static function singular(string $word): string
    {
        return match (true) {
            strlen($word) > 4 && str_ends_with($word, 'ies') => substr($word, 0, -3).'y',
            strlen($word) > 3 && str_ends_with($word, 's') && ! str_ends_with($word, 'ss') => substr($word, 0, -1),
            default => $word,
        };
    }
}
