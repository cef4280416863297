<?php

declare(strict_types=1);

namespace App\Time;

use Carbon\Carbon;
use Carbon\CarbonImmutable;

/** The application's present: real time, or a moment at which demo, screenshots and end-to-end tests hold it. */
final class Clock
{
    /** Seconds; older than what a browser keeps is no answer to this day any more. */
    private const LONGEST_AGO = 14 * 86_400;

    private static int $ago = 0;

    /** @param  string  $setting  an ISO 8601 moment, "file:" and the path of a file that holds one, or empty for real time */
    public static function set(string $setting): void
    {
        if (str_starts_with($setting, 'file:')) {
            $setting = self::heldIn(substr($setting, 5));
        }
        $now = $setting === '' ? null : CarbonImmutable::parse($setting)->utc();
        CarbonImmutable::setTestNow($now);
        Carbon::setTestNow($now);
        if ($now !== null) {
            config(['session.expire_on_close' => true]); // by the browser's clock a dated cookie might be over already
        }
    }

    /** A file that is just being written is empty for a moment: taken for real time, everything would be laid out months away. */
    private static function heldIn(string $file): string
    {
        if (! is_file($file)) {
            return ''; // nobody holds it yet
        }
        for ($tries = 0; $tries < 50; $tries++) {
            $moment = trim((string) @file_get_contents($file));
            if ($moment !== '') {
                return $moment;
            }
            usleep(2000);
        }
        throw new \RuntimeException("NEKTO_NOW names {$file}, which holds no moment.");
    }

    /** The present minute, UTC. */
    public static function now(): CarbonImmutable
    {
        return CarbonImmutable::now('UTC')->startOfMinute();
    }

    /** What this request brings was pressed so many seconds before it came. */
    public static function sayAgo(int $seconds): void
    {
        self::$ago = $seconds > 0 && $seconds <= self::LONGEST_AGO ? $seconds : 0;
    }

    /** The minute in which the person did what this request brings; the present one, unless it had waited to be sent. */
    public static function said(): CarbonImmutable
    {
        return CarbonImmutable::now('UTC')->subSeconds(self::$ago)->startOfMinute();
    }

    public static function stands(): bool
    {
        return CarbonImmutable::hasTestNow();
    }
}
