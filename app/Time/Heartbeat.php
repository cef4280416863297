<?php

declare(strict_types=1);

namespace App\Time;

use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** When the worker last looked after accounts: what it did for this minute no request has to do again. */
final class Heartbeat
{
    private const KEY = 'worker.minute';

    private const KEPT_SECONDS = 86400;

    /**
     * The minute's work for an account is done; if nothing changes, nothing is to be done before it wakes.
     *
     * @param  int  $count  how often something of it had changed, as awake() said before that work: what changed meanwhile is looked at again
     */
    public static function beat(int $account, CarbonImmutable $now, int $count, CarbonImmutable $wakes): void
    {
        DB::transaction(static function () use ($account, $now, $count, $wakes): void {
            DB::table('users')->where('id', $account)->update(['looked_after_at' => $now->toDateTimeString()]);
            DB::table('changes')->where('user_id', $account)->update(['looked_count' => $count, 'wakes_at' => $wakes->toDateTimeString()]);
        });
    }

    /** Whether nothing can have come to be done for an account since the worker looked. */
    public static function sleeps(int $account, CarbonImmutable $now): bool
    {
        return self::asleep(DB::table('changes'), $now)->where('user_id', $account)->exists();
    }

    /** @return Builder the accounts (user_id) for which something may be to be done, the one that waited longest first, each with its count of changes */
    public static function awake(CarbonImmutable $now): Builder
    {
        return DB::table('changes')->whereNotIn('user_id', self::asleep(DB::table('changes'), $now)->select('user_id'))->orderBy('wakes_at')->select(['user_id', 'count']);
    }

    private static function asleep(Builder $changes, CarbonImmutable $now): Builder
    {
        return $changes->whereColumn('looked_count', 'count')->where('wakes_at', '>', $now->toDateTimeString());
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
