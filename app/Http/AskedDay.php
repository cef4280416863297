<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/** A day in an address: one that there is, not too far ahead, and within what a person can look back upon; else there is no such page. */
final class AskedDay
{
    /** Days from today, ahead and back. */
    private const AHEAD = 800;

    private const BACK = 3660;

    /** Today where the address says none. */
    public static function of(User $user, ?string $date, CarbonImmutable $now): LocalDay
    {
        $today = Moments::today($user, $now);
        try {
            $day = $date === null ? $today : LocalDay::fromString($date);
        } catch (InvalidTime) {
            abort(404);
        }
        abort_if($day->number - $today->number > self::AHEAD || $today->number - $day->number > self::BACK, 404);

        return $day;
    }
}
