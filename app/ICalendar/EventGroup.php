<?php

declare(strict_types=1);

namespace App\ICalendar;

/** All events of a file that share a UID: one event, or a series with its changed occurrences. */
final readonly class EventGroup
{
    /**
     * @param  int  $line  where the first of them begins in the file, from 1
     * @param  string  $text  their VEVENT components, as in CalendarComponent
     */
    public function __construct(public string $uid, public int $line, public string $text) {}

    /**
     * @param  list<CalendarComponent>  $events
     * @return list<self>
     */
    public static function of(array $events): array
    {
        $groups = [];
        foreach ($events as $event) {
            $known = $groups[$event->uid] ?? null;
            $groups[$event->uid] = $known === null ? new self($event->uid, $event->line, $event->text) : new self($known->uid, $known->line, "{$known->text}\r\n{$event->text}");
        }

        return array_values($groups);
    }
}
