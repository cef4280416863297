<?php

declare(strict_types=1);

namespace App\ICalendar;

use Nekto\Core\Recurrence\Event;

/**
 * What is there after messages have arrived one after another (RFC 5546): which is newer, SEQUENCE and then DTSTAMP tell; a
 * message about one instance changes that one only.
 */
final class Messages
{
    /** @var array<string, array<string, Event<Facts>>> by UID, and by instance ("" for the whole) */
    private array $events = [];

    /** @param  list<Event<Facts>>  $events  of one UID and one message */
    public function take(string $uid, string $method, array $events): void
    {
        if (in_array($method, ['REPLY', 'REFRESH', 'COUNTER', 'DECLINECOUNTER'], true)) {
            return; // these change no time
        }
        foreach ($events as $event) {
            $key = self::key($event);
            $known = $this->events[$uid][$key] ?? null;
            if ($known !== null && ! self::isNewer($event, $known)) {
                continue;
            }
            if ($key === '') {
                $this->whole($uid, $event);
            } elseif (! isset($this->events[$uid]['']) || self::sequence($event) >= self::sequence($this->events[$uid][''])) {
                $this->events[$uid][$key] = $event;
            }
        }
    }

    /** @return array<string, list<Event<Facts>>> by UID */
    public function all(): array
    {
        return array_map(array_values(...), $this->events);
    }

    /** @param  Event<Facts>  $event */
    private function whole(string $uid, Event $event): void
    {
        if ($event->isCalledOff) {
            unset($this->events[$uid]);

            return;
        }
        // What was changed of single instances holds as long as the whole has not been sent anew since.
        $this->events[$uid] = ['' => $event] + array_filter($this->events[$uid] ?? [], static fn (Event $one): bool => $one->instance !== null && self::sequence($one) >= self::sequence($event));
    }

    /** @param  Event<Facts>  $event */
    private static function key(Event $event): string
    {
        return $event->instance === null ? '' : $event->instance->utc().($event->andAfter ? ' and after' : '');
    }

    /**
     * @param  Event<Facts>  $event
     * @param  Event<Facts>  $known
     */
    private static function isNewer(Event $event, Event $known): bool
    {
        return [$event->with->sequence, $event->with->stamp] >= [$known->with->sequence, $known->with->stamp];
    }

    /** @param  Event<Facts>  $event */
    private static function sequence(Event $event): int
    {
        return $event->with->sequence;
    }
}
