<?php

declare(strict_types=1);

namespace Simulated\Calendars;

/** The calendars of the simulated server: files in a folder, and beside each how it is to answer. */
final class Shelf
{
    /** How a calendar can answer. */
    public const MANNERS = ['well', 'missing', 'down', 'slow', 'rubbish', 'cut', 'circle', 'onward', 'inward', 'endless', 'bomb', 'locked', 'busy'];

    public function __construct(private readonly string $folder)
    {
        is_dir($this->folder) || mkdir($this->folder, 0o777, true);
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_map(static fn (string $path): string => basename($path, '.ics'), glob("{$this->folder}/*.ics") ?: []);
    }

    public function has(string $name): bool
    {
        return is_file("{$this->folder}/{$name}.ics");
    }

    public function text(string $name): string
    {
        return (string) file_get_contents("{$this->folder}/{$name}.ics");
    }

    public function changedAt(string $name): int
    {
        clearstatcache();

        return (int) filemtime("{$this->folder}/{$name}.ics");
    }

    public function put(string $name, string $text): void
    {
        $this->write("{$name}.ics", $text);
    }

    public function manner(string $name): string
    {
        $manner = is_file("{$this->folder}/{$name}.manner") ? trim((string) file_get_contents("{$this->folder}/{$name}.manner")) : 'well';

        return in_array($manner, self::MANNERS, true) ? $manner : 'well';
    }

    public function behave(string $name, string $manner): void
    {
        $this->write("{$name}.manner", $manner);
    }

    /** Adds a meeting; times are as RFC 5545 has them, in UTC. */
    public function add(string $name, string $uid, string $summary, string $start, string $end): void
    {
        $this->put($name, str_replace('END:VCALENDAR', implode("\r\n", ['BEGIN:VEVENT', "UID:{$uid}", 'SEQUENCE:0', 'SUMMARY:'.addcslashes($summary, '\\;,'), "DTSTART:{$start}", "DTEND:{$end}", 'END:VEVENT', 'END:VCALENDAR']), $this->text($name)));
    }

    /** Moves a meeting by minutes: every time it names on its own clock. */
    public function move(string $name, string $uid, int $minutes): void
    {
        $this->each($name, $uid, static fn (string $event): string => (string) preg_replace_callback('/^((?:DTSTART|DTEND)[^:]*:)(\d{8}T\d{6})/m', static fn (array $found): string => $found[1].gmdate('Ymd\THis', (int) strtotime($found[2].'Z') + 60 * $minutes), self::newer($event)));
    }

    /** Calls a meeting off; it stays in the file. */
    public function cancel(string $name, string $uid): void
    {
        $this->each($name, $uid, static fn (string $event): string => str_replace('END:VEVENT', "STATUS:CANCELLED\r\nEND:VEVENT", self::newer($event)));
    }

    /** Takes a meeting out of the file. */
    public function remove(string $name, string $uid): void
    {
        $this->each($name, $uid, static fn (): string => '');
    }

    /** Takes every meeting out of it. */
    public function clear(string $name): void
    {
        $this->put($name, (string) preg_replace('/BEGIN:VEVENT\r?\n.*?END:VEVENT\r?\n/s', '', $this->text($name)));
    }

    /** @return array<string, string> what each meeting is called, by UID */
    public function meetings(string $name): array
    {
        preg_match_all('/BEGIN:VEVENT\r?\n(.*?)END:VEVENT/s', $this->text($name), $events);
        $meetings = [];
        foreach ($events[1] as $event) {
            preg_match('/^UID:(.*?)\r?$/m', $event, $uid) === 1 && preg_match('/^SUMMARY:(.*?)\r?$/m', $event, $summary) === 1 && $meetings[$uid[1]] = $summary[1];
        }

        return $meetings;
    }

    /** @param  \Closure(string): string  $change */
    private function each(string $name, string $uid, \Closure $change): void
    {
        $this->put($name, (string) preg_replace_callback('/BEGIN:VEVENT\r?\n(?:(?!END:VEVENT).)*END:VEVENT\r?\n/s', static fn (array $event): string => preg_match('/^UID:'.preg_quote($uid, '/').'\r?$/m', $event[0]) === 1 ? $change($event[0]) : $event[0], $this->text($name)));
    }

    private static function newer(string $event): string
    {
        return (string) preg_replace_callback('/^SEQUENCE:(\d+)/m', static fn (array $found): string => 'SEQUENCE:'.((int) $found[1] + 1), $event);
    }

    /** Whole at once: somebody may be reading it. */
    private function write(string $file, string $text): void
    {
        file_put_contents("{$this->folder}/.{$file}.next", $text);
        rename("{$this->folder}/.{$file}.next", "{$this->folder}/{$file}");
    }
}
