<?php

declare(strict_types=1);

namespace App\Exchange;

/** Which to-dos of a calendar file are steps of which others, as RELATED-TO says it in either direction (RFC 5545, 3.8.4.5). */
final class Family
{
    /** Steps of steps are steps of the first; deeper is a circle. */
    private const DEEPEST = 20;

    /**
     * @param  list<string>  $texts  of the to-dos
     * @return array<int, int> the place of the one it belongs to, by its own place
     */
    public static function of(array $texts): array
    {
        $places = $relations = [];
        foreach ($texts as $i => $text) {
            if (preg_match('/^UID[^:\r\n]*:(.+?)\s*$/mi', self::unfolded($text), $uid) === 1) {
                $places[$uid[1]] = $i;
            }
            if (stripos($text, 'RELATED-TO') !== false) {
                preg_match_all('/^RELATED-TO((?:;[^:\r\n]*)?):(.+?)\s*$/mi', self::unfolded($text), $found, PREG_SET_ORDER);
                foreach ($found as [, $how, $other]) {
                    $relations[] = [$i, strtoupper((string) preg_replace('/^.*RELTYPE="?([A-Z]+).*$/i', '$1', $how)), $other];
                }
            }
        }
        $parents = [];
        foreach ($relations as [$i, $how, $other]) {
            $place = $places[$other] ?? $i;
            if ($place !== $i && in_array($how, ['', 'PARENT'], true)) {
                $parents[$i] = $place;
            } elseif ($place !== $i && $how === 'CHILD') {
                $parents[$place] = $i;
            }
        }

        return self::roots($parents);
    }

    /**
     * @param  array<int, int>  $parents
     * @return array<int, int>
     */
    private static function roots(array $parents): array
    {
        $roots = [];
        foreach ($parents as $i => $parent) {
            for ($deep = 0; isset($parents[$parent]) && $deep < self::DEEPEST; $deep++) {
                $parent = $parents[$parent];
            }
            $deep === self::DEEPEST || $roots[$i] = $parent;
        }

        return $roots;
    }

    private static function unfolded(string $text): string
    {
        return (string) preg_replace('/\r?\n[ \t]/', '', $text);
    }
}
