<?php

declare(strict_types=1);

namespace App\Screens\Find;

use Nekto\Core\Text\Folded;

/** Screens, settings and acts, as they are found by a word. */
final class Places
{
    private const MOST = 8;

    /**
     * @param  list<string>  $words  folded
     * @return list<Entry>
     */
    public static function of(array $words): array
    {
        $found = [];
        foreach ((array) __('places') as $address => $names) {
            [$title, $more] = [...explode(' | ', (string) $names, 2), ''];
            $text = Folded::of("{$title} {$more}");
            if ($words !== [] && array_filter($words, static fn (string $word): bool => preg_match('/(?<!\p{L})'.preg_quote($word, '/').'/u', $text) !== 1) === []) {
                $found[] = new Entry('place-'.count($found), $title, (string) $address, str_starts_with((string) $address, '/settings') ? 'settings' : (str_contains((string) $address, '?') || str_contains((string) $address, 'export') ? 'do it' : 'go there'));
            }
        }

        return array_slice($found, 0, self::MOST);
    }
}
