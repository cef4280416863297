<?php

declare(strict_types=1);

namespace App\ICalendar;

/**
 * Cuts a calendar file into its events or to-dos without reading them, so that each can be read, and fail, on its own.
 * Lines are unfolded (RFC 5545, 3.1), alarms and what is of no use left out; each has the zones with it that only the file describes.
 */
final class CalendarSplitter
{
    /** Properties that nobody needs; of an event also those that may be long or private. */
    private const LEFT_OUT = [
        'VEVENT' => '/^(ATTACH|X-(?!MICROSOFT-CDO-BUSYSTATUS[;:])[A-Z0-9-]+|COMMENT|CONTACT|IMAGE|CONFERENCE|STYLED-DESCRIPTION)[;:]/i',
        'VTODO' => '/^(ATTACH(?![^:]*:https?:\/\/)|COMMENT|CONTACT|IMAGE|CONFERENCE|STYLED-DESCRIPTION)[;:]/i',
    ];

    /** Longer lines are no calendar data we use; a to-do's description may be a whole letter. */
    private const LONGEST_LINE = ['VEVENT' => 10_000, 'VTODO' => 100_000];

    /** Where an event's address to join it may stand, and so many bytes of each are looked through. */
    private const JOINED_BY = '/^(?:CONFERENCE|X-[A-Z0-9-]*(?:CONFERENCE|MEETING|JOIN|CALL)[A-Z0-9-]*|LOCATION|URL|DESCRIPTION)[;:]/i';

    private const LOOKED_THROUGH = 100_000;

    /** What a calendar says of itself (RFC 7986, 5; and as exporters wrote it before). */
    private const OF_ITSELF = '/^(NAME|X-WR-CALNAME|REFRESH-INTERVAL|X-PUBLISHED-TTL)(?:;[^:]*)?:(.*)$/i';

    /** Bytes of an event's description that stay with it. */
    private const DESCRIPTION = 1000;

    /** @var list<CalendarComponent> */
    private array $components = [];

    /** @var list<array{line: int, what: string}> */
    private array $problems = [];

    /** @var array<string, list<string>> VTIMEZONE lines by TZID */
    private array $zones = [];

    private string $method = '';

    /** @param  'VEVENT'|'VTODO'  $kind  what is cut out */
    public function __construct(private readonly string $kind) {}

    /**
     * @return array{components: list<CalendarComponent>, problems: list<array{line: int, what: string}>, method: string, says: array<string, string>, isWhole: bool} what is cut out; METHOD in capitals, or nothing; what the calendar says of itself, by property; whether it came to its end
     *
     * @throws UnreadableCalendar if the text is no iCalendar file
     */
    public function split(string $text): array
    {
        $text = self::asUtf8($text);
        self::isCalendar($text) || throw new UnreadableCalendar(__('meetings.not_a_calendar'));
        $component = null;
        $body = $says = [];
        $from = 0;
        $ended = $cutShort = false;
        foreach (self::unfolded($text) as [$number, $line]) {
            $upper = strtoupper(substr($line, 0, 40));
            if ($component === null && in_array($upper, ["BEGIN:{$this->kind}", 'BEGIN:VTIMEZONE'], true)) {
                [$component, $body, $from] = [substr($upper, 6), [$number => $line], $number];
            } elseif ($component === null) {
                preg_match('/^METHOD:\s*([A-Z]+)\s*$/', $upper, $match) === 1 && $this->method = $match[1];
                preg_match(self::OF_ITSELF, $line, $match) === 1 && $says[strtoupper($match[1])] ??= mb_substr(trim($match[2]), 0, 200);
                $ended = $upper === 'END:VCALENDAR' || ($ended && trim($upper) === '');
            } elseif ($upper === "END:{$component}") {
                $component === 'VTIMEZONE' ? $this->zone([...$body, $line]) : $this->component($body + [$number => $line], $from);
                $component = null;
            } elseif ($upper === "BEGIN:{$this->kind}" || $upper === 'END:VCALENDAR') {
                $this->notClosed($from);
                $cutShort = true;
                [$component, $body, $from] = $upper === 'END:VCALENDAR' ? [null, [], 0] : [$this->kind, [$number => $line], $number];
            } else {
                $body[$number] = $line;
            }
        }
        if ($component === $this->kind) {
            $this->notClosed($from);
        }
        foreach ($this->components as $i => $one) { // only now: zones may stand after what uses them; in place: a second list of all would need as much memory again
            $this->components[$i] = new CalendarComponent($one->uid, $one->line, $this->withZones($one->text));
        }

        return ['components' => $this->components, 'problems' => $this->problems, 'method' => $this->method, 'says' => $says, 'isWhole' => $ended && ! $cutShort && $component === null];
    }

    /** Whether it begins as a calendar does; nothing more is looked at. */
    public static function isCalendar(string $text): bool
    {
        return preg_match('/\A(?:\xEF\xBB\xBF)?\s*BEGIN:VCALENDAR\s*$/im', str_replace("\r", "\n", substr($text, 0, 1000))) === 1 && ! str_contains(substr($text, 0, 1000), "\0");
    }

    /** Without the moments of writing, which many servers set anew whenever they are asked: what is the same but for them is the same. */
    public static function unstamped(string $text): string
    {
        return (string) preg_replace('/^DTSTAMP[;:].*\R/mi', '', $text);
    }

    private function notClosed(int $from): void
    {
        $this->problems[] = ['line' => $from, 'what' => __($this->kind === 'VEVENT' ? 'meetings.not_closed' : 'files.not_closed')];
    }

    /** A component has the zones with it that only this file describes. */
    private function withZones(string $text): string
    {
        preg_match_all('/;TZID=("[^"]*"|[^;:,"]*)/i', $text, $used);
        $zones = '';
        foreach (array_unique(array_map(static fn (string $name): string => trim($name, '" '), $used[1])) as $name) {
            if (isset($this->zones[$name]) && ZoneNames::resolve($name) === null) {
                $zones .= implode("\r\n", $this->zones[$name])."\r\n";
            }
        }

        return $zones.$text;
    }

    /** @param  array<int, string>  $body  lines by their number in the file */
    private function component(array $body, int $from): void
    {
        $kept = $joinedBy = [];
        $depth = 0;
        foreach ($body as $number => $line) {
            $upper = strtoupper(substr($line, 0, 40));
            if ($this->kind === 'VEVENT' && $depth <= 0 && preg_match(self::JOINED_BY, $line) === 1) {
                $joinedBy[] = Line::read(substr($line, 0, self::LOOKED_THROUGH));
                str_starts_with($upper, 'DESCRIPTION') && strlen($line) > self::DESCRIPTION && $line = rtrim(mb_strcut($line, 0, self::DESCRIPTION), '\\').'…';
            }
            if ($this->kind === 'VEVENT' && trim($line) !== '' && Line::read($line) === null) {
                $depth <= 0 && $this->problems[] = ['line' => $number, 'what' => __('meetings.line_left_out', ['words' => mb_substr($line, 0, 40)])]; // it costs itself, not the event
            } elseif (str_starts_with($upper, 'BEGIN:') && $upper !== "BEGIN:{$this->kind}") {
                $depth++;
            } elseif (str_starts_with($upper, 'END:') && $upper !== "END:{$this->kind}") {
                $depth--;
            } elseif ($depth <= 0 && strlen($line) <= self::LONGEST_LINE[$this->kind] && preg_match(self::LEFT_OUT[$this->kind], $line) !== 1) {
                $kept[] = $line;
            }
        }
        $link = JoinLink::of(array_values(array_filter($joinedBy)));
        $link === null || array_splice($kept, -1, 0, [JoinLink::PROPERTY.":{$link}"]);
        if ($this->method === 'CANCEL') {
            array_splice($kept, -1, 0, ['STATUS:CANCELLED']);
        }
        $text = implode("\r\n", $kept);
        $uid = preg_match('/^UID(?:;[^:\r\n]*)?:(\S.*?)\s*$/im', $text, $match) === 1 ? mb_substr($match[1], 0, 500) : 'made:'.sha1($text);
        $this->components[] = new CalendarComponent($uid, $from, $text);
    }

    /** @param  list<string>  $body */
    private function zone(array $body): void
    {
        if (preg_match('/^TZID(?:;[^:\r\n]*)?:(.+)$/im', implode("\n", $body), $match) === 1) {
            $this->zones[trim($match[1])] = $body;
        }
    }

    /** @return \Generator<array{int, string}> line number where it begins, and the unfolded line */
    private static function unfolded(string $text): \Generator
    {
        $held = null;
        $from = 0;
        $length = strlen($text);
        for ($at = 0, $i = 0; $at <= $length; $at = $end + 1, $i++) { // not explode(): ten million empty lines are ten megabytes, and their list half a thousand
            $end = strpos($text, "\n", $at);
            $end = $end === false ? $length : $end;
            $line = substr($text, $at, $end - $at);
            if ($held !== null && $line !== '' && ($line[0] === ' ' || $line[0] === "\t")) {
                $held .= substr($line, 1);
            } else {
                if ($held !== null && $held !== '') {
                    yield [$from, $held];
                }
                [$held, $from] = [$line, $i + 1];
            }
        }
        if ($held !== '') {
            yield [$from, (string) $held];
        }
    }

    /** @throws UnreadableCalendar if the bytes are no text */
    private static function asUtf8(string $text): string
    {
        if (str_starts_with($text, "\xEF\xBB\xBF")) {
            $text = substr($text, 3);
        }
        if (str_contains($text, "\0")) {
            throw new UnreadableCalendar(__('meetings.not_a_calendar'));
        }

        $text = strtr($text, ["\r\n" => "\n", "\r" => "\n"]);

        return mb_check_encoding($text, 'UTF-8') ? $text : mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
    }
}
