<?php

declare(strict_types=1);

namespace App\ICalendar;

use Nekto\Core\Recurrence\Event;
use Nekto\Core\Recurrence\Length;
use Nekto\Core\Recurrence\Moment;
use Nekto\Core\Recurrence\Rule;
use Nekto\Core\Recurrence\RuleRefused;
use Nekto\Core\Time\Offsets;

/** Reads the text of events that share a UID, with the zones they describe. */
final class EventText
{
    /** @var array<string, Offsets|null> clocks the text describes itself, by TZID */
    private array $described = [];

    /** @param  Offsets  $home  for floating times and whole days */
    public function __construct(private readonly Offsets $home) {}

    /**
     * @template T
     *
     * @param  \Closure(array<string, list<Line>>): T  $with  what comes along, of an event's lines by name
     * @return list<Event<T>>
     *
     * @throws UnreadableCalendar if one of them cannot be read
     */
    public function read(string $text, \Closure $with): array
    {
        $this->described = DescribedZone::all($text);
        $events = [];
        $lines = null;
        foreach (preg_split('/\r\n|\n/', $text) ?: [] as $row) {
            $upper = strtoupper(rtrim(substr($row, 0, 40)));
            if ($upper === 'BEGIN:VEVENT') {
                $lines = [];
            } elseif ($upper === 'END:VEVENT') {
                $events[] = $this->event($lines ?? [], $with);
                $lines = null;
            } elseif ($lines !== null && trim($row) !== '') {
                $line = Line::read($row);
                $line === null || $lines[$line->name][] = $line;
            }
        }

        return $events;
    }

    /**
     * @template T
     *
     * @param  array<string, list<Line>>  $lines
     * @param  \Closure(array<string, list<Line>>): T  $with
     * @return Event<T>
     */
    private function event(array $lines, \Closure $with): Event
    {
        $start = $this->moment($lines['DTSTART'][0] ?? throw new UnreadableCalendar(__('meetings.no_start')));
        $instance = isset($lines['RECURRENCE-ID']) ? $this->moment($lines['RECURRENCE-ID'][0]) : null;
        try {
            $rules = array_map(static fn (Line $line): Rule => Rule::read($line->value), $lines['RRULE'] ?? []);
        } catch (RuleRefused $error) {
            throw new UnreadableCalendar($error->getMessage(), previous: $error);
        }
        $dates = $except = [];
        foreach ($lines['RDATE'] ?? [] as $line) {
            foreach (explode(',', $line->value) as $value) {
                $dates[] = $this->date($line, $value);
            }
        }
        foreach ($lines['EXDATE'] ?? [] as $line) {
            foreach (explode(',', $line->value) as $value) {
                $except[] = $this->moment($line, $value);
            }
        }

        return new Event(
            $start,
            $this->length($start, $lines),
            $rules,
            $dates,
            $except,
            $instance,
            strtoupper($lines['RECURRENCE-ID'][0]->parameters['RANGE'] ?? '') === 'THISANDFUTURE',
            strtoupper(trim($lines['STATUS'][0]->value ?? '')) === 'CANCELLED',
            $with($lines),
        );
    }

    /** @param  array<string, list<Line>>  $lines */
    private function length(Moment $start, array $lines): Length
    {
        if (isset($lines['DTEND'])) {
            $end = $this->moment($lines['DTEND'][0]);
            if ($start->isDay) {
                return new Length(max(1, intdiv($end->local - $start->local, 86_400)), 0);
            }

            return $end->utc() >= $start->utc() ? new Length(0, $end->utc() - $start->utc()) : throw new UnreadableCalendar(__('meetings.ends_before_start'));
        }
        $length = isset($lines['DURATION']) ? Length::read($lines['DURATION'][0]->value) : null;

        return match (true) {
            $length === null => new Length($start->isDay ? 1 : 0, 0),
            $start->isDay => new Length(max(1, $length->days), 0),
            default => $length,
        };
    }

    /** @return array{Moment, Length|null} a date of its own, or a period */
    private function date(Line $line, string $value): array
    {
        [$from, $to] = [...explode('/', $value, 2), null];
        $start = $this->moment($line, (string) $from);
        $length = $to === null ? null : (Length::read($to) ?? new Length(0, max(0, $this->moment($line, $to)->utc() - $start->utc())));

        return [$start, $length];
    }

    /** @throws UnreadableCalendar */
    private function moment(Line $line, ?string $value = null): Moment
    {
        $value = trim($value ?? $line->value);
        $time = CalendarTime::of($value) ?? throw new UnreadableCalendar(__('meetings.bad_time', ['name' => $line->name, 'value' => mb_substr($value, 0, 40)]));
        $local = $time->local();

        return match (true) {
            $time->time === null => new Moment($local, true, $this->home),
            $time->isUtc => new Moment($local, false, Offsets::fixed(0)),
            isset($line->parameters['TZID']) => new Moment($local, false, $this->clock($line->parameters['TZID'])),
            default => new Moment($local, false, $this->home),
        };
    }

    private function clock(string $tzid): Offsets
    {
        $tzid = trim($tzid);

        return ZoneNames::clock($tzid) ?? $this->described[$tzid] ?? throw new UnreadableCalendar(__('meetings.unknown_zone', ['zone' => mb_substr($tzid, 0, 60)]));
    }
}
