<?php

declare(strict_types=1);

namespace App\Http;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Cache;

/** Which browsers of an account were used in the last minutes: a window asks often only while there is another one. */
final class Devices
{
    /** Minutes for which a browser counts as in use after its last page or change. */
    private const IN_USE = 5;

    /** @param  string  $session  its id stands for the browser; it is kept as a hash only */
    public static function note(int $account, string $session, CarbonImmutable $now): void
    {
        $minute = intdiv($now->getTimestamp(), 60);
        $devices = self::inUse($account, $minute);
        if (($devices[self::name($session)] ?? null) !== $minute) {
            Cache::put("devices.{$account}", [self::name($session) => $minute] + $devices, 60 * self::IN_USE);
        }
    }

    public static function isAnother(int $account, string $session, CarbonImmutable $now): bool
    {
        return array_diff_key(self::inUse($account, intdiv($now->getTimestamp(), 60)), [self::name($session) => 0]) !== [];
    }

    /** @return array<string, int> the minute of last use, by name */
    private static function inUse(int $account, int $minute): array
    {
        $devices = Cache::get("devices.{$account}");

        return is_array($devices) ? array_filter($devices, static fn (mixed $last): bool => is_int($last) && $last > $minute - self::IN_USE) : [];
    }

    private static function name(string $session): string
    {
        return substr(hash('sha256', $session), 0, 16);
    }
}
