<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/** A day in an address: one that there is, and not too far from today; else there is no such page. */
final class AskedDay
{
    /** Days from today. */
    private const FARTHEST = 800;

    /** Today where the address says none. */
    public static function of(User $user, ?string $date, CarbonImmutable $now): LocalDay
    {
        $today = Moments::today($user, $now);
        try {
            $day = $date === null ? $today : LocalDay::fromString($date);
        } catch (InvalidTime) {
            abort(404);
        }
        abort_if(abs($day->number - $today->number) > self::FARTHEST, 404);

        return $day;
    }
}
