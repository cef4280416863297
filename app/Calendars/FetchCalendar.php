<?php

declare(strict_types=1);

namespace App\Calendars;

use App\Intake\Intakes;
use App\Meetings\CalendarSays;
use App\Meetings\Failing;
use App\Models\Calendar;
use App\Models\CalendarKind;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Cache;

/**
 * Looks at the address of one calendar. What came is taken in by the queue of files; what fails is said, asked for again
 * ever more seldom, and the last good copy counts meanwhile.
 */
final class FetchCalendar implements ShouldQueue
{
    use Queueable;

    /** A queue of its own: a server that is slow holds up no file and no mail. */
    public const QUEUE = 'fetch';

    public int $tries = 1;

    public int $timeout = 60;

    public function __construct(private readonly int $calendar)
    {
        $this->onQueue(self::QUEUE);
    }

    public function handle(Fetch $fetch): void
    {
        $calendar = Calendar::query()->kept()->where('kind', CalendarKind::Address)->find($this->calendar);
        $lock = Cache::lock("calendar.{$this->calendar}", $this->timeout);
        if ($calendar === null || $calendar->address === null || ! $lock->get()) {
            return;
        }
        try {
            $this->look($calendar, $fetch, Clock::now());
        } finally {
            $lock->release();
        }
    }

    private function look(Calendar $calendar, Fetch $fetch, CarbonImmutable $now): void
    {
        $address = (string) $calendar->address;
        try {
            $fetched = $fetch($address, $calendar->etag, $calendar->modified);
        } catch (NotFetched $error) {
            $calendar->refresh()->address === $address && Failing::note($calendar, $error->getMessage(), $now, $error->again);

            return;
        }
        if ($calendar->refresh()->address !== $address) {
            return; // it was changed meanwhile; the new one is looked at by itself
        }
        $digest = $fetched->bytes === null ? $calendar->digest : self::digest($fetched->bytes);
        $isUnderWay = $calendar->user->intakes()->where('calendar_id', $calendar->id)->underWay()->exists();
        $calendar->fill(['tried_at' => $now, 'fetched_at' => $now, 'failures' => 0, 'failing_since' => null, 'why' => null, 'next_at' => $now->addMinutes($calendar->every ?? CalendarSays::OFTEN)]);
        if ($fetched->bytes !== null && ! $isUnderWay) { // what came while another is being taken is asked for again next time
            $calendar->fill(['etag' => $fetched->etag, 'modified' => $fetched->modified]);
        }
        $isNew = $fetched->bytes !== null && $digest !== $calendar->digest && ! $isUnderWay;
        $isNew && $calendar->digest = $digest;
        $calendar->save();
        $isNew && Intakes::begin($calendar->user, 'calendar', $calendar->name, $fetched->bytes, ['calendar_id' => $calendar->id]);
    }

    /** Of what matters: many servers write the moment of asking into every event. */
    private static function digest(string $bytes): string
    {
        return hash('sha256', (string) preg_replace('/^DTSTAMP[;:].*\R/mi', '', $bytes));
    }
}
