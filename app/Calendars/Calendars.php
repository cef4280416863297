<?php

declare(strict_types=1);

namespace App\Calendars;

use App\Intake\Intakes;
use App\Models\Calendar;
use App\Models\CalendarKind;
use App\Models\Intake;
use App\Models\User;
use Carbon\CarbonImmutable;

/** How calendars come to be: from a file, by an address that is followed, or kept here. */
final class Calendars
{
    /** Of one account. */
    public const MOST = 50;

    public static function isFull(User $user): bool
    {
        return $user->calendars()->kept()->count() >= self::MOST;
    }

    /** Into which a file goes: the one that came from a file of that name, or a new one. */
    public static function ofFile(User $user, string $name, CarbonImmutable $now): Calendar
    {
        $name = self::short($name);

        $files = static fn () => $user->calendars()->kept()->where('kind', CalendarKind::File);

        return $files()->where('file_name', $name)->first()
            ?? $files()->whereNull('file_name')->first() // what was brought in before calendars had names
            ?? self::new($user, CalendarKind::File, pathinfo($name, PATHINFO_FILENAME) ?: $name, ['file_name' => $name, 'fetched_at' => $now]);
    }

    /** Takes a file into a calendar; what it held and the file does not have is gone then. */
    public static function take(Calendar $calendar, string $name, string $bytes, CarbonImmutable $now): Intake
    {
        $calendar->update(['file_name' => self::short($name), 'fetched_at' => $now]);

        return Intakes::begin($calendar->user, 'calendar', $name, $bytes, ['calendar_id' => $calendar->id]);
    }

    /** Follows an address from now on. */
    public static function follow(User $user, CalendarAddress $address, CarbonImmutable $now): Calendar
    {
        $calendar = self::new($user, CalendarKind::Address, $address->host, ['address' => $address->url, 'next_at' => $now]);
        FetchCalendar::dispatch()->afterCommit();

        return $calendar;
    }

    /** Follows another address from now on; what it held counts until the new one answers. */
    public static function move(Calendar $calendar, CalendarAddress $address, CarbonImmutable $now): void
    {
        $calendar->update(['address' => $address->url, 'etag' => null, 'modified' => null, 'digest' => null, 'failures' => 0, 'failing_since' => null, 'why' => null, 'next_at' => $now]);
        FetchCalendar::dispatch()->afterCommit();
    }

    /** The calendar of what came by mail, made when it is first needed. */
    public static function here(User $user): Calendar
    {
        return $user->calendars()->kept()->where('kind', CalendarKind::Here)->first() ?? self::new($user, CalendarKind::Here, __('calendars.here'));
    }

    private static function short(string $name): string
    {
        return mb_substr($name, 0, 250);
    }

    /** @param  array<string, mixed>  $more  columns */
    private static function new(User $user, CalendarKind $kind, string $name, array $more = []): Calendar
    {
        return $user->calendars()->create(['kind' => $kind, 'name' => mb_substr($name, 0, 120), 'hatching' => Calendar::freeHatching($user), 'position' => 1 + (int) $user->calendars()->max('position'), ...$more])->refresh();
    }
}
