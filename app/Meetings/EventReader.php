<?php

declare(strict_types=1);

namespace App\Meetings;

use App\ICalendar\EventGroup;
use App\ICalendar\EventText;
use App\ICalendar\Facts;
use App\ICalendar\UnreadableCalendar;
use App\Models\Answer;
use Carbon\CarbonImmutable;
use Nekto\Core\Recurrence\Event;
use Nekto\Core\Recurrence\Instance;
use Nekto\Core\Recurrence\RuleRefused;
use Nekto\Core\Recurrence\Series;
use Nekto\Core\Time\Offsets;

/** Reads an event group: which stretches of time it takes within a window, and which of them block. */
final readonly class EventReader
{
    /** No event longer than this is a meeting. */
    private const MOST_DAYS = 366;

    /** Occurrences of one series within the window: hourly ones for more than a month are a mistake. */
    private const MOST_OCCURRENCES = 1000;

    private Offsets $home;

    /**
     * @param  \DateTimeZone  $home  for floating times and whole days
     * @param  list<string>  $addresses  the owner's, in lower case
     */
    public function __construct(\DateTimeZone $home, private array $addresses, private CarbonImmutable $from, private CarbonImmutable $until)
    {
        $this->home = Offsets::of($home);
    }

    /** @throws UnreadableCalendar if an event of the group cannot be read; the message says why */
    public function read(EventGroup $group): MeetingDraft
    {
        $events = (new EventText($this->home))->read($group->text, fn (array $lines): Facts => Facts::of($lines, $this->addresses));
        foreach ($events as $event) {
            86_400 * $event->length->days + $event->length->seconds <= 86_400 * self::MOST_DAYS || throw new UnreadableCalendar(__('meetings.too_long'));
        }
        $series = Series::of($events);
        try {
            $instances = $series->between($this->from->getTimestamp(), $this->until->getTimestamp(), self::MOST_OCCURRENCES);
            $goesOn = $series->goesOnAfter($this->until->getTimestamp());
        } catch (RuleRefused $error) {
            throw new UnreadableCalendar($error->getMessage(), previous: $error);
        }

        $whole = array_values(array_filter($events, static fn (Event $event): bool => $event->instance === null));
        $facts = ($whole[0] ?? $events[0] ?? null)?->with;

        return new MeetingDraft(
            self::summary($events),
            array_map(self::occurrence(...), $instances),
            $goesOn,
            $facts?->organizer,
            $facts->sequence ?? 0,
            array_filter($events, static fn (Event $event): bool => $event->with->partstat !== null) !== [],
        );
    }

    /** @param  Instance<Facts>  $instance */
    private static function occurrence(Instance $instance): OccurrenceDraft
    {
        $facts = $instance->with;

        return new OccurrenceDraft(
            $facts->summary === '' ? __('meetings.untitled') : $facts->summary,
            $facts->place,
            gmdate('Y-m-d H:i:00', $instance->start),
            gmdate('Y-m-d H:i:00', $instance->end + 59),
            $instance->isDay,
            ! $facts->isFree,
            $instance->of === null ? '' : gmdate('Y-m-d H:i:00', $instance->of),
            $facts->isTentative,
            $facts->isPrivate,
            $facts->link,
            $facts->partstat === null ? null : Answer::ofStatus($facts->partstat),
            $facts->sequence,
        );
    }

    /** @param  list<Event<Facts>>  $events */
    private static function summary(array $events): string
    {
        foreach ($events as $event) {
            if ($event->instance === null && $event->with->summary !== '') {
                return $event->with->summary;
            }
        }

        return ($events[0] ?? null)?->with->summary ?: __('meetings.untitled');
    }
}
