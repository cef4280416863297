<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\ICalendar\CalendarSplitter;
use App\ICalendar\EventGroup;
use App\ICalendar\EventText;
use App\ICalendar\Facts;
use App\ICalendar\Messages;
use App\ICalendar\UnreadableCalendar;
use App\ICalendar\Version;
use Illuminate\Console\Command;
use Nekto\Core\Recurrence\Event;
use Nekto\Core\Recurrence\Instance;
use Nekto\Core\Recurrence\RuleRefused;
use Nekto\Core\Recurrence\Series;
use Nekto\Core\Time\Offsets;

/** Says which instances calendar files have, a line of JSON a file; without database and account. */
final class ExpandCalendar extends Command
{
    private const MOST = 20_000;

    protected $signature = 'calendar:expand {files* : iCalendar files} {--from= : RFC 3339} {--to= : RFC 3339, exclusive} {--zone=UTC : in which floating times and whole days are read} {--merge : the files are messages that arrive one after another}';

    protected $description = 'Expands calendar files: the instances that begin within a window, as JSON';

    private int $from;

    private int $to;

    private \DateTimeZone $zone;

    public function handle(): int
    {
        try {
            $this->zone = new \DateTimeZone((string) $this->option('zone'));
            $this->from = (new \DateTimeImmutable((string) $this->option('from')))->getTimestamp();
            $this->to = (new \DateTimeImmutable((string) $this->option('to')))->getTimestamp();
        } catch (\Exception $error) {
            $this->error($error->getMessage());

            return self::INVALID;
        }
        $this->option('merge') ? $this->merge((array) $this->argument('files')) : array_map($this->each(...), (array) $this->argument('files'));

        return self::SUCCESS;
    }

    private function each(string $path): void
    {
        try {
            $rows = [];
            foreach (EventGroup::of($this->split($path)['components']) as $group) {
                try {
                    array_push($rows, ...$this->rows($group->uid, $this->events($group->text)));
                } catch (UnreadableCalendar|RuleRefused $error) {
                    $rows[] = ['uid' => $group->uid, 'error' => $error->getMessage()];
                }
            }
            $this->say($rows);
        } catch (UnreadableCalendar $error) {
            $this->say(['error' => $error->getMessage()]);
        }
    }

    /** @param  array<string>  $paths */
    private function merge(array $paths): void
    {
        $messages = new Messages;
        $rows = [];
        foreach ($paths as $path) {
            try {
                $split = $this->split($path);
                foreach (EventGroup::of($split['components']) as $group) {
                    $messages->take($group->uid, $split['method'], Version::all($this->reader(), $group->text));
                }
            } catch (UnreadableCalendar $error) {
                $rows[] = ['uid' => basename($path), 'error' => $error->getMessage()];
            }
        }
        foreach ($messages->all() as $uid => $versions) {
            try {
                array_push($rows, ...$this->rows((string) $uid, array_map(static fn (Version $version): Event => $version->event, $versions)));
            } catch (RuleRefused $error) {
                $rows[] = ['uid' => (string) $uid, 'error' => $error->getMessage()];
            }
        }
        $this->say($rows);
    }

    /**
     * @return array{components: list<\App\ICalendar\CalendarComponent>, problems: list<array{line: int, what: string}>, method: string, says: array<string, string>, isWhole: bool}
     *
     * @throws UnreadableCalendar
     */
    private function split(string $path): array
    {
        return (new CalendarSplitter('VEVENT'))->split((string) @file_get_contents($path));
    }

    /**
     * @return list<Event<Facts>>
     *
     * @throws UnreadableCalendar
     */
    private function events(string $text): array
    {
        return $this->reader()->read($text, static fn (array $lines): Facts => Facts::of($lines));
    }

    private function reader(): EventText
    {
        return new EventText(Offsets::of($this->zone));
    }

    /**
     * @param  list<Event<Facts>>  $events
     * @return list<array<string, mixed>>
     *
     * @throws RuleRefused
     */
    private function rows(string $uid, array $events): array
    {
        $moment = static fn (int $at): string => gmdate('Y-m-d\TH:i:s\Z', $at);
        $begins = array_filter(Series::of($events)->between($this->from, $this->to, self::MOST), fn (Instance $one): bool => $one->start >= $this->from);

        return array_values(array_map(static fn (Instance $one): array => ['uid' => $uid, 'start' => $moment($one->start), 'end' => $moment($one->end), 'allDay' => $one->isDay, 'busy' => ! $one->with->isFree], $begins));
    }

    /** @param  array<mixed>  $json */
    private function say(array $json): void
    {
        $this->output->writeln((string) json_encode($json, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE), \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);
    }
}
