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
    /** @var array<string, array<string, Version>> by UID, and by instance ("" for the whole) */
    private array $versions = [];

    /** @param  list<Version>  $versions  of one UID and one message */
    public function take(string $uid, string $method, array $versions): void
    {
        if (in_array($method, ['REPLY', 'REFRESH', 'COUNTER', 'DECLINECOUNTER'], true)) {
            return; // these change no time
        }
        foreach ($versions as $version) {
            $event = $version->event;
            $key = self::key($event);
            $known = $this->versions[$uid][$key] ?? null;
            if ($known !== null && ! self::isNewer($event, $known->event)) {
                continue;
            }
            if ($key === '') {
                $this->whole($uid, $version);
            } elseif (! isset($this->versions[$uid]['']) || self::sequence($event) >= self::sequence($this->versions[$uid]['']->event)) {
                $this->versions[$uid][$key] = $version;
            }
        }
    }

    /** @return array<string, list<Version>> by UID */
    public function all(): array
    {
        return array_map(array_values(...), $this->versions);
    }

    private function whole(string $uid, Version $version): void
    {
        if ($version->event->isCalledOff) {
            unset($this->versions[$uid]);

            return;
        }
        // What was changed of single instances holds as long as the whole has not been sent anew since.
        $this->versions[$uid] = ['' => $version] + array_filter($this->versions[$uid] ?? [], static fn (Version $one): bool => $one->event->instance !== null && self::sequence($one->event) >= self::sequence($version->event));
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
