<?php

declare(strict_types=1);

namespace App\Time;

use Carbon\Carbon;
use Carbon\CarbonImmutable;

/** The application's present: real time, or a moment at which demo, screenshots and end-to-end tests hold it. */
final class Clock
{
    /** @param  string  $setting  an ISO 8601 moment, "file:" and the path of a file that holds one, or empty for real time */
    public static function set(string $setting): void
    {
        if (str_starts_with($setting, 'file:')) {
            $setting = trim((string) @file_get_contents(substr($setting, 5)));
        }
        $now = $setting === '' ? null : CarbonImmutable::parse($setting)->utc();
        CarbonImmutable::setTestNow($now);
        Carbon::setTestNow($now);
        if ($now !== null) {
            config(['session.expire_on_close' => true]); // by the browser's clock a dated cookie might be over already
        }
    }

    /** The present minute, UTC. */
    public static function now(): CarbonImmutable
    {
        return CarbonImmutable::now('UTC')->startOfMinute();
    }

    public static function stands(): bool
    {
        return CarbonImmutable::hasTestNow();
    }
}
