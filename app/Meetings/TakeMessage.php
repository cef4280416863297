<?php

declare(strict_types=1);

namespace App\Meetings;

use App\ICalendar\CalendarSplitter;
use App\ICalendar\EventGroup;
use App\ICalendar\EventText;
use App\ICalendar\Messages;
use App\ICalendar\UnreadableCalendar;
use App\ICalendar\Version;
use App\Models\Calendar;
use App\Models\CalendarKind;
use App\Models\Meeting;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Time\Offsets;

/**
 * Takes a message about meetings in (RFC 5546): an invitation, a change, a calling off. It changes the meeting wherever it
 * is known, or else comes into the calendar of what came by mail. What is older than what is known changes nothing, and
 * neither does one from another organizer.
 */
final readonly class TakeMessage
{
    /** Methods that change meetings. */
    private const METHODS = ['REQUEST', 'CANCEL', 'ADD', 'PUBLISH'];

    /** Bytes of one message: it is about a meeting, not a year of them. */
    public const LARGEST = 500_000;

    /** Meetings of one message. */
    private const MOST = 50;

    public function __construct(private FollowMeetings $follow) {}

    /** True for a message, false for the calendar itself. */
    public static function isOne(string $text): bool
    {
        return preg_match('/^METHOD:\s*(REQUEST|CANCEL|ADD|REPLY|REFRESH|COUNTER|DECLINECOUNTER)\s*$/mi', substr($text, 0, 4000)) === 1;
    }

    /**
     * @param  \Closure(): Calendar  $here  into which a meeting comes that is not known
     * @return Meeting|null the first that it is about, as it is now; null if it changed none
     *
     * @throws UnreadableCalendar|NeverComesRound
     */
    public function __invoke(User $user, string $text, \Closure $here, CarbonImmutable $now): ?Meeting
    {
        $split = (new CalendarSplitter('VEVENT'))->split($text);
        if (! in_array($split['method'], self::METHODS, true)) {
            return null;
        }
        $first = null;
        $calendars = $gone = [];
        $reader = TakeEvents::reader($user, $now);
        foreach (array_slice(EventGroup::of($split['components']), 0, self::MOST) as $group) {
            $known = $user->meetings()->where('uid', $group->uid)->whereHas('calendar', static fn ($calendar) => $calendar->whereNull('removed_at'))->with('calendar')->get();
            if ($known->isEmpty() && $split['method'] !== 'CANCEL') {
                $calendar = $here();
                $known = $known->push($calendar->meetings()->make(['uid' => $group->uid, 'source' => ''])->forceFill(['user_id' => $user->id])->setRelation('calendar', $calendar));
            }
            foreach ($known as $meeting) {
                if ($this->merge($user, $meeting, $group, $split['method'], $reader, $now, $gone)) {
                    $first ??= $meeting;
                    $calendars[$meeting->calendar_id] = $meeting->calendar;
                }
            }
        }
        foreach ($calendars as $id => $calendar) { // the plan follows once, however many meetings one message is about
            ($this->follow)($calendar, $gone[$id] ?? [], true, $now);
        }

        return $first;
    }

    /**
     * True if it changed something.
     *
     * @param  array<int, list<int>>  $gone  meetings that were called off, by calendar
     */
    private function merge(User $user, Meeting $meeting, EventGroup $group, string $method, EventReader $reader, CarbonImmutable $now, array &$gone): bool
    {
        $texts = new EventText(Offsets::of(new \DateTimeZone($user->zone)));
        $own = $user->calendarAddresses();
        $new = Version::all($texts, $group->text, $own);
        $from = ($new[0] ?? null)?->event->with->organizer;
        if ($new === [] || ($meeting->organizer !== null && $from !== $meeting->organizer)) {
            return false;
        }
        $messages = new Messages;
        $meeting->source === '' || $meeting->gone_at !== null || $messages->take($meeting->uid, 'PUBLISH', Version::all($texts, $meeting->source, $own));
        $messages->take($meeting->uid, $method, $new);
        $versions = $messages->all()[$meeting->uid] ?? [];
        if ($versions === []) {
            $meeting->exists && $meeting->gone_at === null && $gone[$meeting->calendar_id][] = $meeting->id;

            return $meeting->exists;
        }
        $source = Version::zones($meeting->source, $group->text).implode("\r\n", array_map(static fn (Version $version): string => $version->text, $versions));
        if ($source === $meeting->source && $meeting->gone_at === null) {
            return false;
        }
        $draft = TakeEvents::read($reader, new EventGroup($meeting->uid, 0, $source));
        DB::transaction(static function () use ($meeting, $source, $draft, $now): void {
            $meeting->fill(['source' => $source, 'messaged' => $meeting->calendar->kind !== CalendarKind::Here]);
            StoreMeeting::now($meeting, $draft, $now);
        });

        return true;
    }
}
