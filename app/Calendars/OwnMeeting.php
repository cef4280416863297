<?php

declare(strict_types=1);

namespace App\Calendars;

use App\Time\Moments;
use App\Time\Zones;
use Nekto\Core\Capture\MeetingLine;
use Nekto\Core\Time\LocalDay;

/** A meeting that the person wrote down: kept as said, and written as an event (RFC 5545) for the reader of all meetings. */
final readonly class OwnMeeting
{
    /**
     * @param  int|null  $minute  of the local day; null: whole days
     * @param  int  $minutes  of whole days, 1440 for each
     * @param  string|null  $rule  how it comes back
     * @param  string  $zone  in which it was written down
     * @param  list<string>  $without  instances that are not, as occurrences name them
     * @param  array<string, array{title: string, place: string|null, link: string|null, day: string, minute: int|null, minutes: int}>  $moved  instances that are otherwise
     */
    public function __construct(
        public string $title,
        public ?string $place,
        public ?string $link,
        public string $day,
        public ?int $minute,
        public int $minutes,
        public ?string $rule,
        public string $zone,
        public array $without = [],
        public array $moved = [],
    ) {}

    public static function of(MeetingLine $line, string $zone): self
    {
        return new self(mb_substr($line->title, 0, 500), $line->place, $line->link, $line->day->asString(), $line->minute, $line->minute === null ? 1440 : $line->minutes, $line->rule, $zone);
    }

    public static function fromJson(string $json): self
    {
        return new self(...json_decode($json, true, 16, JSON_THROW_ON_ERROR));
    }

    public function json(): string
    {
        return json_encode(get_object_vars($this), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    /** @param  array<string, mixed>  $changes */
    public function with(array $changes): self
    {
        return new self(...[...get_object_vars($this), ...$changes]);
    }

    /** When it begins, the first time; minutes since 1970-01-01T00:00Z. */
    public function start(): int
    {
        return Zones::named($this->zone)->at(LocalDay::fromString($this->day), $this->minute ?? 0);
    }

    /** As an event, with its changed instances. */
    public function text(string $uid): string
    {
        $events = [$this->event($uid, $this->title, $this->place, $this->link, $this->day, $this->minute, $this->minutes, [
            ...($this->rule === null ? [] : ['RRULE:'.$this->ruleText()]),
            ...array_map(fn (string $one): string => 'EXDATE'.$this->instance($one), $this->without),
        ])];
        foreach ($this->moved as $instance => $one) {
            $events[] = $this->event($uid, $one['title'], $one['place'], $one['link'], $one['day'], $one['minute'], $one['minutes'], ['RECURRENCE-ID'.$this->instance((string) $instance)]);
        }

        return implode("\r\n", $events);
    }

    /** @param  list<string>  $more  further lines */
    private function event(string $uid, string $title, ?string $place, ?string $link, string $day, ?int $minute, int $minutes, array $more): string
    {
        $date = str_replace('-', '', $day);
        $escaped = static fn (string $text): string => strtr($text, ['\\' => '\\\\', ';' => '\;', ',' => '\,', "\n" => '\n', "\r" => '']);
        $times = $minute === null
            ? ["DTSTART;VALUE=DATE:{$date}", 'DURATION:P'.max(1, intdiv($minutes, 1440)).'D']
            : ["DTSTART;TZID={$this->zone}:{$date}T".sprintf('%02d%02d00', intdiv($minute, 60), $minute % 60), "DURATION:PT{$minutes}M"];

        return implode("\r\n", [
            'BEGIN:VEVENT', "UID:{$uid}", ...$times, 'SUMMARY:'.$escaped($title),
            ...($place === null || $place === '' ? [] : ['LOCATION:'.$escaped($place)]),
            ...($link === null || $link === '' ? [] : ["X-NEKTO-JOIN:{$link}"]),
            ...$more, 'END:VEVENT',
        ]);
    }

    /** Where a series ends on a day, its last time that day counts (RFC 5545, 3.3.10: as a moment, where it begins at one). */
    private function ruleText(): string
    {
        return (string) preg_replace_callback('/UNTIL=(\d{4})(\d{2})(\d{2})(?![T\d])/', fn (array $part): string => $this->minute === null ? $part[0] : 'UNTIL='.Moments::moment(Zones::named($this->zone)->at(LocalDay::of((int) $part[1], (int) $part[2], (int) $part[3]), 1439))->format('Ymd\THis\Z'), (string) $this->rule);
    }

    private function instance(string $at): string
    {
        return $this->minute === null
            ? ';VALUE=DATE:'.str_replace('-', '', Zones::named($this->zone)->dayOf(Moments::stored($at))->asString())
            : ':'.strtr($at, ['-' => '', ' ' => 'T', ':' => '']).'Z';
    }
}
