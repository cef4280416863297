<?php

declare(strict_types=1);

namespace App\Exchange;

/** Accounts of cycles and reviews as they are kept: pages show them as they are, so a file may bring no others. */
final class KeptAccount
{
    /** By kind: "text", "whole", "number" or "flag" of each name; a list has the shape of each of its entries. */
    private const SHAPES = [
        'cycle' => ['span' => 'text', 'kept' => 'whole', 'judged' => 'whole', 'goals' => [[
            'id' => 'whole', 'name' => 'text', 'hue' => 'text', 'unit' => 'text', 'target' => 'number', 'value' => 'number', 'weekly' => 'flag', 'reached' => 'flag', 'weeks' => 'whole', 'weeksReached' => 'whole',
            'kept' => 'whole', 'judged' => 'whole', 'open' => ['text'],
        ]]],
        'review' => [
            'promised' => 'whole', 'actual' => 'whole', 'keys' => ['kept' => 'whole', 'all' => 'whole'], 'steps' => ['kept' => 'whole', 'all' => 'whole', 'ahead' => 'whole'], 'caught' => 'whole', 'next' => ['demand' => 'whole', 'supply' => 'whole'],
            'days' => [['label' => 'text', 'promised' => 'whole', 'actual' => 'whole', 'keys' => [['title' => 'text', 'kept' => 'flag', 'open' => 'flag']]]],
            'slips' => [['reason' => 'text', 'minutes' => 'whole', 'titles' => ['text']]],
        ],
    ];

    private const LONGEST = 2000;

    /**
     * @param  'cycle'|'review'  $kind
     * @param  array<array-key, mixed>  $value
     * @return array<array-key, mixed>|null null if it is none
     */
    public static function of(string $kind, array $value): ?array
    {
        return self::fits($value, self::SHAPES[$kind]) ? $value : null;
    }

    /** @param  string|array<array-key, mixed>  $shape */
    private static function fits(mixed $value, string|array $shape): bool
    {
        if (is_string($shape)) {
            return match ($shape) {
                'text' => is_string($value) && mb_strlen($value) <= self::LONGEST,
                'whole' => is_int($value),
                'number' => is_int($value) || is_float($value),
                default => is_bool($value),
            };
        }
        if (! is_array($value)) {
            return false;
        }
        if (array_is_list($shape)) {
            return array_is_list($value) && array_filter($value, static fn (mixed $one): bool => ! self::fits($one, $shape[0])) === [];
        }
        foreach ($shape as $name => $of) {
            if (! array_key_exists($name, $value) || ! self::fits($value[$name], $of)) {
                return false;
            }
        }

        return true;
    }
}
