<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\TaskStage;
use App\Models\User;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Capture\ClockReader;
use Nekto\Core\Capture\DayReader;
use Nekto\Core\Capture\DurationReader;
use Nekto\Core\Capture\Outline;
use Nekto\Core\Capture\OutlineItem;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/** Reads a table: which column holds what is guessed from its heading and can be said otherwise. */
final readonly class CsvReader
{
    /** What a column can hold, with headings that say so. */
    public const COLUMNS = [
        'title' => ['title', 'task', 'name', 'subject', 'summary', 'description of task', 'what', 'to do', 'todo', 'item'],
        'note' => ['note', 'notes', 'description', 'comment', 'comments', 'details', 'body'],
        'due' => ['due', 'due date', 'deadline', 'until', 'end date', 'by'],
        'start' => ['start', 'start date', 'from', 'not before', 'begin'],
        'estimate' => ['estimate', 'minutes', 'duration', 'effort', 'estimated minutes', 'time'],
        'importance' => ['importance', 'priority', 'worth'],
        'project' => ['project', 'list'],
        'contexts' => ['context', 'contexts', 'tags', 'labels', 'categories'],
        'waiting' => ['waiting', 'waiting for'],
        'link' => ['link', 'url', 'address'],
        'done' => ['done', 'completed', 'status', 'complete', 'finished'],
        'stage' => ['stage'],
        'demand' => ['demand'],
        'area' => ['area'],
        'repeat' => ['repeat', 'repeats', 'recurrence'],
        'subtasks' => ['subtasks', 'steps', 'checklist'],
        'id' => ['id', 'uid', 'key'],
    ];

    private const YES = ['1', 'x', 'yes', 'true', 'done', 'completed', 'complete', 'finished', '✓', '✔'];

    public function __construct(private User $user, private CarbonImmutable $now) {}

    /**
     * @param  list<string>|null  $columns  what each column holds ("" for nothing); guessed if null
     * @return array{list<string>, list<string>} the headings, and what each column is taken to hold
     */
    public static function columns(string $text, ?array $columns): array
    {
        foreach (self::rows($text) as [, $cells]) {
            $header = array_map(trim(...), $cells);

            return [$header, $columns ?? self::guess($header)];
        }

        return [[], $columns ?? []];
    }

    /**
     * @param  list<string>|null  $columns  as for columns()
     * @return \Generator<Draft|Problem>
     */
    public function read(string $text, ?array $columns = null): \Generator
    {
        $columns ??= self::columns($text, null)[1];
        $keys = new Keys(Format::Csv);
        $isFirst = true;
        foreach (self::rows($text) as [$line, $cells]) {
            if ($isFirst) {
                $isFirst = false;
                if (! in_array('title', $columns, true)) {
                    yield new Problem($line, __('files.no_title_column'));

                    return;
                }

                continue;
            }
            if (implode('', array_map(trim(...), $cells)) === '') {
                continue;
            }
            [$draft, $wrong] = $this->draft($line, self::facts($columns, $cells), $keys);
            if ($draft !== null) {
                yield $draft;
            }
            foreach ($wrong as $what) {
                yield new Problem($line, $what);
            }
        }
    }

    /**
     * @param  array<string, string>  $facts
     * @return array{Draft|null, list<string>}
     */
    private function draft(int $line, array $facts, Keys $keys): array
    {
        $title = mb_substr($facts['title'] ?? '', 0, 200);
        if ($title === '') {
            return [null, [__('files.no_title')]];
        }
        $wrong = [];
        [$due, $dueAt] = $this->moment($facts['due'] ?? '', $wrong);
        [$start, $startAt] = $this->moment($facts['start'] ?? '', $wrong);
        [, $own] = OwnWords::apart('repeat:'.trim($facts['repeat'] ?? '').' id:'.trim($facts['id'] ?? ''));
        preg_match_all('/https?:\/\/\S+/i', $facts['link'] ?? '', $links);
        $minutes = null;
        if (($facts['estimate'] ?? '') !== '') {
            $read = DurationReader::read($facts['estimate']);
            is_int($read) ? $minutes = $read : $wrong[] = __('files.no_estimate', ['words' => mb_substr($facts['estimate'], 0, 40)]);
        }
        $importance = ($facts['importance'] ?? '') === '' ? null : (Importance::fromWord($facts['importance']) ?? Importance::tryFrom((int) $facts['importance']));
        if ($importance === null && ($facts['importance'] ?? '') !== '') {
            $wrong[] = __('files.no_importance', ['words' => mb_substr($facts['importance'], 0, 40)]);
        }

        return [new Draft(
            line: $line,
            key: $own['id'] ?? null ?: (($facts['id'] ?? '') !== '' ? Format::Csv->value.':id:'.mb_substr($facts['id'], 0, 150) : $keys->of($title, $facts['project'] ?? '')),
            title: $title,
            done: in_array(mb_strtolower($facts['done'] ?? ''), self::YES, true),
            note: ($facts['note'] ?? '') === '' ? null : $facts['note'],
            importance: $importance,
            due: $dueAt === null ? $due : null,
            dueAt: $dueAt,
            start: $startAt ?? ($start === null ? null : CarbonImmutable::createFromFormat('Y-m-d H:i', "{$start} 00:00", $this->user->zone)?->utc()),
            minutes: $minutes,
            project: ($facts['project'] ?? '') === '' ? null : mb_substr($facts['project'], 0, 200),
            contexts: array_values(array_filter(array_map(static fn (string $one): string => ltrim(trim($one), '@'), preg_split('/[,;|]/u', $facts['contexts'] ?? '') ?: []), static fn (string $one): bool => $one !== '')),
            waitingFor: ($facts['waiting'] ?? '') === '' ? null : mb_substr($facts['waiting'], 0, 200),
            subtasks: self::subtasks($facts['subtasks'] ?? ''),
            links: $links[0],
            rule: $own['rule'] ?? null,
            afterDone: $own['after_done'] ?? null,
            stage: TaskStage::tryFrom($facts['stage'] ?? ''),
            demand: Demand::tryFrom($facts['demand'] ?? ''),
            area: ($facts['area'] ?? '') === '' ? null : mb_substr($facts['area'], 0, 200),
        ), $wrong];
    }

    /**
     * A line each, ticked ones with "[x]", an estimate at the end.
     *
     * @return list<array{title: string, estimate: int|null, done: bool}>
     */
    private static function subtasks(string $cell): array
    {
        return array_map(static function (OutlineItem $item): array {
            [$title, $minutes] = DurationReader::apart($item->text);

            return ['title' => $title, 'estimate' => $minutes, 'done' => $item->done];
        }, Outline::of($cell, nested: false));
    }

    /**
     * @param  list<string>  $wrong
     * @return array{string|null, CarbonImmutable|null} a day, and the moment where a time stands with it
     */
    private function moment(string $text, array &$wrong): array
    {
        $day = $this->day($text, $wrong);
        $time = $day !== null && preg_match('/[T ](\d{1,2}:\d{2})$/', trim($text), $part) === 1 ? ClockReader::read($part[1]) : -1;

        return [$day, $day === null || $time < 0 ? null : Moments::moment(Zones::named($this->user->zone)->at(LocalDay::fromString($day), $time))];
    }

    /** @param  list<string>  $wrong */
    private function day(string $text, array &$wrong): ?string
    {
        if ($text === '') {
            return null;
        }
        try {
            $text = (string) preg_replace('/[T ]\d{1,2}:\d{2}.*$/', '', $text);
            $reader = new DayReader(LocalDay::fromString($this->user->local($this->now)->format('Y-m-d')), $this->user->month_first);

            return preg_match('/^(?:'.DayReader::PHRASE.')$/Diu', $text) === 1 ? $reader->read($text)->asString() : throw InvalidTime::notADate($text);
        } catch (InvalidTime) {
            $wrong[] = (string) __('files.no_date', ['words' => mb_substr($text, 0, 40)]);

            return null;
        }
    }

    /**
     * @param  list<string>  $columns
     * @param  list<string>  $cells
     * @return array<string, string>
     */
    private static function facts(array $columns, array $cells): array
    {
        $facts = [];
        foreach ($columns as $i => $what) {
            if ($what !== '') {
                $facts[$what] = trim(($facts[$what] ?? '').' '.trim(self::plain($cells[$i] ?? '')), ' ');
            }
        }

        return $facts;
    }

    /** What was written so that no table program takes it for a formula. */
    private static function plain(string $cell): string
    {
        return preg_match("/^'[=+@\-]/", $cell) === 1 ? substr($cell, 1) : $cell;
    }

    /**
     * @param  list<string>  $header
     * @return list<string>
     */
    private static function guess(array $header): array
    {
        $taken = [];
        foreach ($header as $i => $heading) {
            $taken[$i] = '';
            foreach (self::COLUMNS as $what => $names) {
                if (! in_array($what, $taken, true) && in_array(mb_strtolower($heading), $names, true)) {
                    $taken[$i] = $what;

                    break;
                }
            }
        }

        return $taken;
    }

    /** @return \Generator<array{int, list<string>}> in which line of the file each row begins, and its cells */
    private static function rows(string $text): \Generator
    {
        $first = substr($text, 0, strcspn($text, "\r\n"));
        $counts = array_map(static fn (string $mark): int => substr_count($first, $mark), [',' => ',', ';' => ';', "\t" => "\t", '|' => '|']);
        arsort($counts);
        $mark = (string) array_key_first($counts);
        $stream = fopen('php://temp', 'r+b') ?: throw new \RuntimeException('No memory for a table.');
        try {
            fwrite($stream, (string) preg_replace('/\r\n?/', "\n", $text));
            rewind($stream);
            $line = 1;
            while (($cells = fgetcsv($stream, null, $mark, '"', '')) !== false) {
                $cells = array_map(static fn (?string $cell): string => (string) $cell, $cells);
                yield [$line, $cells];
                $line += 1 + array_sum(array_map(static fn (string $cell): int => substr_count($cell, "\n"), $cells));
            }
        } finally {
            fclose($stream);
        }
    }
}
