<?php

declare(strict_types=1);

namespace App\Meetings;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** What has been gone for sixty days is not brought back any more: its times go, but for those that were held. A few hundred a minute. */
final class TidyGone
{
    private const DAYS = 60;

    private const AT_ONCE = 300;

    public static function some(CarbonImmutable $now): int
    {
        $before = $now->subDays(self::DAYS)->toDateTimeString();
        $gone = 'select id from occurrences where meeting_id in (select id from meetings where gone_at < ?) and ends_at > (select gone_at from meetings where meetings.id = occurrences.meeting_id) limit '.self::AT_ONCE;
        $removed = 'select occurrences.id from calendars join meetings on meetings.calendar_id = calendars.id join occurrences on occurrences.meeting_id = meetings.id where calendars.removed_at < ? and occurrences.ends_at > calendars.removed_at limit '.self::AT_ONCE;
        DB::table('calendars')->where('removed_at', '<', $before)->whereNotNull('address')->update(['address' => null]); // nobody needs to know it any more

        return DB::delete("delete from occurrences where id in ({$gone})", [$before]) + DB::delete("delete from occurrences where id in ({$removed})", [$before]);
    }
}
