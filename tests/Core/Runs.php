<?php

declare(strict_types=1);

namespace Tests\Core;

/** How often a property is looked at: in every run of the tests with the same seed, in bin/test --long far oftener with another one. */
final class Runs
{
    private const LONG = 12;

    public static function of(int $times): int
    {
        return getenv('NEKTO_LONG') === '1' ? self::LONG * $times : $times;
    }
}
