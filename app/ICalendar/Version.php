<?php

declare(strict_types=1);

namespace App\ICalendar;

use Nekto\Core\Recurrence\Event;

/** One VEVENT as one message tells it, with its text. */
final readonly class Version
{
    /** @param  Event<Facts>  $event */
    public function __construct(public Event $event, public string $text) {}

    /**
     * All of a group, each with its own text; the zones that the group describes come before each reading.
     *
     * @param  list<string>  $own  the owner's addresses
     * @return list<self>
     *
     * @throws UnreadableCalendar
     */
    public static function all(EventText $reader, string $text, array $own = []): array
    {
        preg_match_all('/^BEGIN:VEVENT\s*$.*?^END:VEVENT\s*$/msi', $text, $parts);
        $events = $reader->read($text, static fn (array $lines): Facts => Facts::of($lines, $own));

        return array_map(static fn (Event $event, int $i): self => new self($event, rtrim($parts[0][$i] ?? '')), $events, array_keys($events));
    }

    /** The zones that texts of groups describe, each once. */
    public static function zones(string ...$texts): string
    {
        preg_match_all('/^BEGIN:VTIMEZONE\s*$.*?^END:VTIMEZONE\s*$/msi', implode("\r\n", $texts), $zones);

        return implode('', array_map(static fn (string $zone): string => rtrim($zone)."\r\n", array_unique($zones[0])));
    }
}
