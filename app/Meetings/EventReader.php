<?php

declare(strict_types=1);

namespace App\Meetings;

use App\ICalendar\CalendarTime;
use App\ICalendar\EventGroup;
use App\ICalendar\Parsed;
use App\ICalendar\UnreadableCalendar;
use Carbon\CarbonImmutable;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\DateTimeParser;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property\ICalendar\DateTime as DateTimeProperty;
use Sabre\VObject\Recur\EventIterator;
use Sabre\VObject\Recur\NoInstancesException;
use Sabre\VObject\Settings;

/** Reads an event group: which stretches of time it takes within a window, and which of them block. */
final readonly class EventReader
{
    /** No event longer than this is a meeting. */
    private const MOST_DAYS = 366;

    /** Occurrences of one series within the window: hourly ones for more than a month are a mistake. */
    private const MOST_OCCURRENCES = 1000;

    /** Steps of a rule that may be taken before the window begins; rules without COUNT are moved ahead beforehand. */
    private const MOST_STEPS = 20_000;

    /**
     * @param  \DateTimeZone  $home  for floating times and whole days
     * @param  list<string>  $addresses  the owner's, in lower case
     */
    public function __construct(
        private \DateTimeZone $home,
        private array $addresses,
        private CarbonImmutable $from,
        private CarbonImmutable $until,
    ) {
        Settings::$maxRecurrences = -1; // the limits here are ours
    }

    /** @throws UnreadableCalendar if an event of the group cannot be read; the message says why */
    public function read(EventGroup $group): MeetingDraft
    {
        try {
            return Parsed::quietly(fn (): MeetingDraft => $this->draft($this->parsed($group->text)));
        } catch (UnreadableCalendar $error) {
            throw $error;
        } catch (\Throwable $error) {
            throw new UnreadableCalendar(__('meetings.unreadable', ['why' => self::why($error)]), previous: $error);
        }
    }

    /** @return list<VEvent> */
    private function parsed(string $text): array
    {
        if (preg_match('/;TZID=unknown\/([^:;\r\n]*)/', $text, $match) === 1) {
            throw new UnreadableCalendar(__('meetings.unknown_zone', ['zone' => $match[1]]));
        }
        $events = array_values(array_filter(Parsed::calendar($text)->select('VEVENT'), static fn (object $one): bool => $one instanceof VEvent));
        foreach ($events as $event) {
            isset($event->DTSTART) || throw new UnreadableCalendar(__('meetings.no_start'));
            $this->check($event);
        }

        return $events;
    }

    private function check(VEvent $event): void
    {
        foreach (['DTSTART', 'DTEND', 'RECURRENCE-ID'] as $name) {
            if (! isset($event->{$name})) {
                continue;
            }
            $value = (string) $event->{$name};
            if (CalendarTime::of($value) === null) {
                throw new UnreadableCalendar(__('meetings.bad_time', ['name' => $name, 'value' => mb_substr($value, 0, 40)]));
            }
        }
        [$start, $end] = $this->span($event);
        $end < $start && throw new UnreadableCalendar(__('meetings.ends_before_start'));
        $end > $start->modify('+'.self::MOST_DAYS.' days') && throw new UnreadableCalendar(__('meetings.too_long'));
    }

    /** @param  list<VEvent>  $events */
    private function draft(array $events): MeetingDraft
    {
        $masters = array_values(array_filter($events, static fn (VEvent $event): bool => ! isset($event->{'RECURRENCE-ID'})));
        $changed = array_filter($events, static fn (VEvent $event): bool => isset($event->{'RECURRENCE-ID'}));
        $occurrences = [];
        $goesOn = false;
        if ($masters !== []) {
            $master = end($masters); // the last one wins where a file repeats an event
            $except = array_map(fn (VEvent $event): int => $this->first($event, 'RECURRENCE-ID')->getTimestamp(), $changed);
            [$occurrences, $goesOn] = $this->series($master, $except);
        }
        foreach ($changed as $event) {
            [$start, $end] = $this->span($event);
            $occurrences[] = $this->occurrence($event, $start, $end);
        }
        $occurrences = array_values(array_filter($occurrences, fn (?array $one): bool => $one !== null
            && $one['ends_at'] >= $this->from->toDateTimeString() && $one['starts_at'] < $this->until->toDateTimeString()));

        return new MeetingDraft(self::summary($masters[0] ?? $events[0]), $occurrences, $goesOn);
    }

    /**
     * @param  array<int>  $except  timestamps of occurrences that were changed
     * @return array{list<array{summary: string, place: string|null, starts_at: string, ends_at: string, all_day: bool, busy: bool}|null>, bool}
     */
    private function series(VEvent $event, array $except): array
    {
        [$start, $end] = $this->span($event);
        $starts = $this->extraDates($event);
        if (preg_match('/FREQ=(SECONDLY|MINUTELY)/i', (string) ($event->RRULE ?? '')) === 1) {
            throw new UnreadableCalendar(__('meetings.too_often')); // sabre/vobject would not move on from the first
        }
        unset($event->RDATE);
        $this->moveAhead($event, $start);
        $goesOn = false;
        try {
            $iterator = new EventIterator([$event], null, $this->home);
            for ($steps = 0; $iterator->valid() && $iterator->getDtEnd() < $this->from; $iterator->next()) {
                ++$steps > self::MOST_STEPS && throw new UnreadableCalendar(__('meetings.too_often'));
            }
            for ($steps = 0; $iterator->valid(); $iterator->next()) {
                ++$steps > self::MOST_OCCURRENCES && throw new UnreadableCalendar(__('meetings.too_often'));
                $at = $iterator->getDtStart();
                if ($at >= $this->until) {
                    $goesOn = true;
                    break;
                }
                $starts[$at->getTimestamp()] = \DateTimeImmutable::createFromInterface($at);
            }
        } catch (NoInstancesException) {
            // every occurrence is excepted: only RDATEs and changed occurrences are left
        }
        foreach ($except as $stamp) {
            unset($starts[$stamp]);
        }
        ksort($starts);

        return [array_values(array_map(fn (\DateTimeImmutable $at): ?array => $this->occurrence($event, $at, $this->endFrom($event, $at, $start, $end)), $starts)), $goesOn];
    }

    /**
     * RDATEs that are not excepted; sabre/vobject would take either these or the rule.
     *
     * @return array<int, \DateTimeImmutable> by timestamp
     */
    private function extraDates(VEvent $event): array
    {
        $dates = [];
        $except = [];
        foreach ($event->select('EXDATE') as $property) {
            if ($property instanceof DateTimeProperty) {
                foreach ($property->getDateTimes($this->home) as $date) {
                    $except[$date->getTimestamp()] = true;
                }
            }
        }
        foreach ($event->select('RDATE') as $property) {
            $zone = isset($property['TZID']) ? new \DateTimeZone((string) $property['TZID']) : $this->home;
            foreach ($property->getParts() as $part) {
                $parsed = DateTimeParser::parse(explode('/', (string) $part)[0], $zone);
                $parsed instanceof \DateTimeImmutable || throw new UnreadableCalendar(__('meetings.bad_time', ['name' => 'RDATE', 'value' => (string) $part]));
                $date = $parsed;
                if (! isset($except[$date->getTimestamp()])) {
                    $dates[$date->getTimestamp()] = $date;
                }
            }
        }

        return $dates;
    }

    /** Moves the start of a rule that has run for long to just before the window, by a multiple of its interval. */
    private function moveAhead(VEvent $event, \DateTimeImmutable $start): void
    {
        if (! isset($event->RRULE)) {
            return;
        }
        $rule = array_change_key_case((array) $event->RRULE->getParts(), CASE_UPPER);
        $interval = max(1, (int) (is_array($rule['INTERVAL'] ?? 1) ? 1 : $rule['INTERVAL'] ?? 1));
        $days = match (strtoupper(is_string($rule['FREQ'] ?? '') ? $rule['FREQ'] : '')) {
            'HOURLY' => $interval % 24 === 0 ? intdiv($interval, 24) : $interval, // n hours come round after n days
            'DAILY' => $interval,
            'WEEKLY' => 7 * $interval,
            default => 0,
        };
        $behind = intdiv($this->from->getTimestamp() - $start->getTimestamp(), 86400) - 2 * self::MOST_DAYS;
        if ($days === 0 || $behind < $days || isset($rule['COUNT'])) {
            return;
        }
        $shift = intdiv($behind, $days) * $days;
        $moved = $start->modify("+{$shift} days");
        foreach (['DTEND' => null, 'DTSTART' => $moved] as $name => $to) {
            $property = $event->{$name};
            if ($property instanceof DateTimeProperty) {
                $property->setDateTime($to ?? $this->first($event, 'DTEND')->modify("+{$shift} days"), $property->isFloating());
            }
        }
    }

    /** @return array{\DateTimeImmutable, \DateTimeImmutable} */
    private function span(VEvent $event): array
    {
        $start = $this->first($event, 'DTSTART');
        if (isset($event->DTEND)) {
            return [$start, $this->first($event, 'DTEND')];
        }
        if (isset($event->DURATION)) {
            $duration = DateTimeParser::parseDuration((string) $event->DURATION);

            return [$start, $duration instanceof \DateInterval ? $start->add($duration) : $start];
        }

        return [$start, $this->hasTime($event) ? $start : $start->modify('+1 day')];
    }

    /** Whole days keep their number of local days, other events their length, across clock changes. */
    private function endFrom(VEvent $event, \DateTimeImmutable $at, \DateTimeImmutable $start, \DateTimeImmutable $end): \DateTimeImmutable
    {
        return $this->hasTime($event)
            ? $at->modify('+'.($end->getTimestamp() - $start->getTimestamp()).' seconds')
            : $at->modify('+'.max(1, (int) $start->diff($end)->days).' days');
    }

    private function hasTime(VEvent $event): bool
    {
        return $event->DTSTART instanceof DateTimeProperty && $event->DTSTART->hasTime();
    }

    private function first(VEvent $event, string $property): \DateTimeImmutable
    {
        return \DateTimeImmutable::createFromInterface($event->{$property}->getDateTime($this->home));
    }

    /** @return array{summary: string, place: string|null, starts_at: string, ends_at: string, all_day: bool, busy: bool}|null null if it was called off */
    private function occurrence(VEvent $event, \DateTimeImmutable $start, \DateTimeImmutable $end): ?array
    {
        if (strtoupper((string) ($event->STATUS ?? '')) === 'CANCELLED') {
            return null;
        }
        $place = trim((string) ($event->LOCATION ?? ''));

        return [
            'summary' => self::summary($event),
            'place' => $place === '' ? null : mb_substr($place, 0, 500),
            'starts_at' => CarbonImmutable::instance($start)->utc()->startOfMinute()->toDateTimeString(),
            'ends_at' => CarbonImmutable::instance($end)->utc()->addSeconds(59)->startOfMinute()->toDateTimeString(),
            'all_day' => ! $this->hasTime($event),
            'busy' => strtoupper((string) ($event->TRANSP ?? '')) !== 'TRANSPARENT' && ! $this->isDeclined($event),
        ];
    }

    private function isDeclined(VEvent $event): bool
    {
        foreach ($event->select('ATTENDEE') as $attendee) {
            $address = preg_replace('/^mailto:/', '', strtolower((string) $attendee));
            if (in_array($address, $this->addresses, true) && strtoupper((string) ($attendee['PARTSTAT'] ?? '')) === 'DECLINED') {
                return true;
            }
        }

        return false;
    }

    private static function summary(VEvent $event): string
    {
        $summary = mb_substr(trim((string) preg_replace('/[\p{C}\s]+/u', ' ', (string) ($event->SUMMARY ?? ''))), 0, 500);

        return $summary === '' ? __('meetings.untitled') : $summary;
    }

    private static function why(\Throwable $error): string
    {
        return $error instanceof ParseException ? __('meetings.bad_line') : mb_substr($error->getMessage(), 0, 200);
    }
}
