<?php

declare(strict_types=1);

namespace App\Calendars;

use App\ICalendar\CalendarSplitter;
use App\Intake\Intakes;
use App\Meetings\CalendarSays;
use App\Meetings\Failing;
use App\Models\Calendar;
use App\Models\CalendarKind;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Queue;

/**
 * Looks at the address of one calendar whose time has come. Which, is decided when its turn is there: one of each account
 * after the other, so that nobody's many, or slow ones, keep others waiting. What came is taken in by the queue of files;
 * what fails is said, asked for again ever more seldom, and the last good copy counts meanwhile.
 */
final class FetchCalendar implements ShouldQueue
{
    use Queueable;

    /** A queue of its own: a server that is slow holds up no file and no mail. */
    public const QUEUE = 'fetch';

    /** Handed over in one minute. */
    private const AT_ONCE = 60;

    /** Whose turn it was last. */
    private const TURN = 'calendars.turn';

    public int $tries = 1;

    public int $timeout = 60;

    public function __construct()
    {
        $this->onQueue(self::QUEUE);
    }

    /** Hands the calendars whose time has come to the queue, but for those that wait there already. */
    public static function handOver(CarbonImmutable $now): void
    {
        for ($waits = Queue::size(self::QUEUE), $due = self::due($now)->limit(self::AT_ONCE)->count(); $waits < min(self::AT_ONCE, $due); $waits++) {
            self::dispatch();
        }
    }

    /** @param  Collection<int, Calendar>  $calendars  that are to be looked at now */
    public static function ask(Collection $calendars, CarbonImmutable $now): void
    {
        Calendar::query()->whereKey($calendars->modelKeys())->update(['next_at' => $now]);
        $due = self::due($now)->whereIn('user_id', $calendars->pluck('user_id')->unique()->all())->count(); // others of the account may have their turn before these
        for ($i = 0; $i < $due; $i++) {
            self::dispatch()->afterCommit();
        }
    }

    public function handle(Fetch $fetch): void
    {
        $now = Clock::now();
        $calendar = self::next($now);
        if ($calendar === null || $calendar->address === null) {
            return;
        }
        Cache::put(self::TURN, $calendar->user_id, 86_400);
        $isMine = Calendar::query()->whereKey($calendar->id)->where('next_at', $calendar->next_at)->update(['next_at' => $now->addMinutes(CalendarSays::OFTEN)]) === 1; // should the worker die over it, it is looked at again
        $isMine && $this->look($calendar, $fetch, $now);
    }

    private static function next(CarbonImmutable $now): ?Calendar
    {
        /** @var \Closure(): Builder<Calendar> $due */
        $due = static fn (): Builder => self::due($now)->orderBy('user_id')->orderBy('next_at')->orderBy('id');

        return $due()->where('user_id', '>', (int) Cache::get(self::TURN))->first() ?? $due()->first();
    }

    /** @return Builder<Calendar> */
    private static function due(CarbonImmutable $now): Builder
    {
        return Calendar::query()->kept()->where('kind', CalendarKind::Address)->where('next_at', '<=', $now)->whereHas('user', static fn (Builder $user) => $user->whereNull('leaves_at'));
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

    private static function digest(string $bytes): string
    {
        return hash('sha256', CalendarSplitter::unstamped($bytes));
    }
}
