<?php

declare(strict_types=1);

namespace App\Time;

use Nekto\Core\Time\Zone;

/** Time zones, each read from the zone database only once. */
final class Zones
{
    /** @var array<string, Zone> */
    private static array $known = [];

    public static function named(string $name): Zone
    {
        return self::$known[$name] ??= new Zone($name);
    }
}
