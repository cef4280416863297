<?php

declare(strict_types=1);

namespace App\Wording;

use Nekto\Core\Text\Folded;

/** Which letters of a text are those that were looked for. */
final class Found
{
    /**
     * @param  list<string>  $sought  folded
     * @return list<array{string, bool}> the pieces of the text, and whether it was looked for
     */
    public static function parts(string $text, array $sought): array
    {
        $folded = Folded::of($text);
        if ($sought === [] || mb_strlen($folded) !== mb_strlen($text)) {
            return [[$text, false]];
        }
        $marked = array_fill(0, mb_strlen($text), false);
        foreach ($sought as $word) {
            for ($at = mb_strpos($folded, $word); $at !== false && mb_strlen($word) > 1; $at = mb_strpos($folded, $word, $at + 1)) {
                array_splice($marked, $at, mb_strlen($word), array_fill(0, mb_strlen($word), true));
            }
        }
        $parts = [];
        foreach (mb_str_split($text) as $i => $letter) {
            $last = count($parts) - 1;
            $last >= 0 && $parts[$last][1] === $marked[$i] ? $parts[$last][0] .= $letter : $parts[] = [$letter, $marked[$i]];
        }

        return $parts;
    }
}
