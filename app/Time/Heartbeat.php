<?php

declare(strict_types=1);

namespace App\Time;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** When the worker last looked after accounts: what it did for this minute no request has to do again. */
final class Heartbeat
{
    private const KEY = 'worker.minute';

    private const KEPT_SECONDS = 86400;

    /** The minute's work for an account is done. */
    public static function beat(int $account, CarbonImmutable $now): void
    {
        DB::table('users')->where('id', $account)->update(['looked_after_at' => $now->toDateTimeString()]);
    }

    /** @param  string|null  $lookedAfter  the account's column, as it is stored */
    public static function isDone(?string $lookedAfter, CarbonImmutable $now): bool
    {
        return $lookedAfter === $now->toDateTimeString();
    }

    /** All accounts were seen to. */
    public static function finish(CarbonImmutable $now): void
    {
        Cache::put(self::KEY, $now->toDateTimeString(), self::KEPT_SECONDS);
    }

    /** UTC, to the minute; null if not within a day. */
    public static function last(): ?CarbonImmutable
    {
        $last = Cache::get(self::KEY);

        return is_string($last) ? CarbonImmutable::parse($last, 'UTC') : null;
    }
}
