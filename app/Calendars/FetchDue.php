<?php

declare(strict_types=1);

namespace App\Calendars;

use App\Meetings\CalendarSays;
use App\Models\Calendar;
use App\Models\CalendarKind;
use Carbon\CarbonImmutable;

/** Hands the calendars whose time has come to the queue, a few of each account: nobody's many keep others waiting. */
final class FetchDue
{
    private const OF_ONE = 4;

    private const AT_ONCE = 60;

    public static function handOver(CarbonImmutable $now): int
    {
        $due = Calendar::query()->kept()->where('kind', CalendarKind::Address)->where('next_at', '<=', $now)
            ->whereHas('user', static fn ($user) => $user->whereNull('leaves_at'))->orderBy('next_at')->limit(10 * self::AT_ONCE)->toBase()->get(['id', 'user_id']);
        $some = $due->groupBy('user_id')->flatMap(static fn ($rows) => $rows->take(self::OF_ONE))->take(self::AT_ONCE)->pluck('id')->all();
        foreach ($some as $id) {
            Calendar::query()->whereKey($id)->update(['next_at' => $now->addMinutes(CalendarSays::OFTEN)]); // should the worker die over it
            FetchCalendar::dispatch((int) $id);
        }

        return count($some);
    }
}
