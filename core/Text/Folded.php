<?php

declare(strict_types=1);

namespace Nekto\Core\Text;

/** Text in small letters without accents, as it is looked for: "Tomás" as "tomas". */
final class Folded
{
    /** Letters that are no other letter with an accent. */
    public const LETTERS = ['ß' => 'ss', 'ẞ' => 'ss', 'æ' => 'ae', 'œ' => 'oe', 'ø' => 'o', 'đ' => 'd', 'ð' => 'd', 'ł' => 'l', 'þ' => 'th', 'ı' => 'i', '’' => "'"];

    /** Letters with an accent, by the plain one; a database that knows no accents goes by these. */
    public const ACCENTS = [
        'a' => 'àáâãäåāăą', 'c' => 'çćĉċč', 'd' => 'ď', 'e' => 'èéêëēĕėęě', 'g' => 'ĝğġģ', 'h' => 'ĥ', 'i' => 'ìíîïĩīĭį', 'j' => 'ĵ', 'k' => 'ķ', 'l' => 'ĺļľ', 'n' => 'ñńņň',
        'o' => 'òóôõöōŏő', 'r' => 'ŕŗř', 's' => 'śŝşšș', 't' => 'ţťț', 'u' => 'ùúûüũūŭůűų', 'w' => 'ŵ', 'y' => 'ýÿŷ', 'z' => 'źżž',
    ];

    public static function of(string $text): string
    {
        $text = strtr(mb_strtolower($text), self::LETTERS);
        if (preg_match('/[\x80-\xff]/', $text) !== 1) {
            return $text;
        }

        $apart = \Normalizer::normalize(mb_scrub($text), \Normalizer::FORM_D);

        return (string) preg_replace('/\p{Mn}/u', '', is_string($apart) ? $apart : $text);
    }

    /** @return list<string> its words, folded */
    public static function words(string $text): array
    {
        return array_values(array_filter(preg_split('/[^\p{L}\p{N}]+/u', self::of($text)) ?: [], static fn (string $word): bool => $word !== ''));
    }
}
