<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Files\UnreadableFile;
use App\ICalendar\CalendarComponent;
use App\ICalendar\CalendarSplitter;
use App\ICalendar\CalendarTime;
use App\ICalendar\DescribedZone;
use App\ICalendar\Parsed;
use App\ICalendar\UnreadableCalendar;
use App\ICalendar\ZoneNames;
use App\Models\TaskStage;
use App\Models\User;
use Carbon\CarbonImmutable;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\Offsets;
use Sabre\VObject\Component\VTodo;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property;
use Sabre\VObject\Property\ICalendar\DateTime as DateProperty;

/** Reads the to-dos (VTODO) of an iCalendar file. Each is parsed by itself, so that a faulty one costs only itself. */
final readonly class TodoReader
{
    public function __construct(private User $user) {}

    /**
     * @return \Generator<Draft|Problem>
     *
     * @throws UnreadableFile
     */
    public function read(string $text): \Generator
    {
        try {
            ['components' => $todos, 'problems' => $problems] = (new CalendarSplitter('VTODO'))->split($text);
        } catch (UnreadableCalendar) {
            throw new UnreadableFile(__('files.no_calendar'));
        }
        yield from self::problems($problems);
        $parents = Family::of(array_map(static fn (CalendarComponent $todo): string => $todo->text, $todos));
        $steps = [];
        foreach ([true, false] as $ofSteps) { // steps come first, so that what they belong to can take them along
            foreach ($todos as $i => $todo) {
                if (isset($parents[$i]) !== $ofSteps) {
                    continue;
                }
                foreach ($this->one($todo, $steps[$i] ?? []) as $one) {
                    if ($ofSteps && $one instanceof Draft) {
                        $steps[$parents[$i]][] = ['title' => $one->title, 'estimate' => $one->minutes, 'done' => $one->done];
                    } else {
                        yield $one;
                    }
                }
            }
        }
    }

    /**
     * @param  list<array{title: string, estimate: int|null, done: bool}>  $steps
     * @return \Generator<Draft|Problem>
     */
    private function one(CalendarComponent $todo, array $steps): \Generator
    {
        $problems = [];
        try {
            foreach (Parsed::calendar($todo->text, forgiving: true)->select('VTODO') as $one) {
                if ($one instanceof VTodo) {
                    yield Parsed::quietly(function () use ($one, $todo, $steps, &$problems): Draft {
                        return $this->draft($one, $todo, $steps, $problems);
                    });
                }
            }
        } catch (ParseException $error) {
            $problems[] = ['line' => $todo->line, 'what' => __('files.no_todo', ['why' => mb_substr($error->getMessage(), 0, 120)])];
        }
        yield from self::problems($problems);
    }

    /**
     * @param  list<array{line: int, what: string}>  $problems
     * @return \Generator<Problem>
     */
    private static function problems(array $problems): \Generator
    {
        foreach ($problems as $problem) {
            yield new Problem($problem['line'], $problem['what']);
        }
    }

    /**
     * @param  list<array{title: string, estimate: int|null, done: bool}>  $steps
     * @param  list<array{line: int, what: string}>  $problems
     */
    private function draft(VTodo $todo, CalendarComponent $component, array $steps, array &$problems): Draft
    {
        $line = $component->line;
        $text = static fn (string $name): ?string => ($value = $todo->{$name}) instanceof Property && trim((string) $value) !== '' ? trim((string) $value) : null;
        [$due, $dueAt] = $this->moment($todo, 'DUE', $component, $problems);
        if (preg_match('/^(\d{4})(\d{2})(\d{2})$/D', (string) $text('X-NEKTO-DUE'), $day) === 1 && checkdate((int) $day[2], (int) $day[3], (int) $day[1])) {
            [$due, $dueAt] = ["{$day[1]}-{$day[2]}-{$day[3]}", null];
        }
        [$start, $startAt] = $this->moment($todo, 'DTSTART', $component, $problems);
        $categories = [];
        foreach ($todo->select('CATEGORIES') as $property) {
            $property instanceof Property && array_push($categories, ...array_map(static fn (mixed $one): string => is_string($one) ? trim($one) : '', $property->getParts()));
        }
        $priority = (int) ($text('PRIORITY') ?? 0);

        return new Draft(
            line: $line,
            key: preg_match('/^nekto-[0-9a-f]{10}-\d+$/D', (string) $text('UID')) === 1 ? (string) $text('UID') : Format::ICalendar->value.':'.sha1($text('UID') ?? $text('SUMMARY') ?? (string) $line),
            title: mb_substr($text('SUMMARY') ?? __('files.untitled'), 0, 200),
            done: strtoupper((string) $text('STATUS')) === 'COMPLETED' || $text('COMPLETED') !== null,
            note: $text('DESCRIPTION'),
            importance: match (true) {
                $priority === 1 => Importance::Vital,
                $priority >= 2 && $priority <= 4 => Importance::High,
                $priority === 5 => Importance::Medium,
                $priority >= 6 => Importance::Low,
                default => null,
            },
            due: $due,
            dueAt: $dueAt,
            start: self::exact($text('X-NEKTO-START')) ?? $startAt ?? ($start === null ? null : CarbonImmutable::createFromFormat('Y-m-d H:i', "{$start} 00:00", $this->user->zone)?->utc()),
            minutes: self::minutes($text('ESTIMATED-DURATION') ?? $text('DURATION')),
            project: $text('X-NEKTO-PROJECT'),
            contexts: array_values(array_filter($categories, static fn (string $one): bool => $one !== '')),
            subtasks: $steps,
            waitingFor: $text('X-NEKTO-WAITING-FOR'),
            link: preg_match('/^https?:\/\//i', (string) $text('URL')) === 1 ? $text('URL') : null,
            links: self::links($todo),
            afterDone: preg_match('/^P\d{1,3}[DWMY]$/D', (string) $text('X-NEKTO-AFTER-DONE')) === 1 ? $text('X-NEKTO-AFTER-DONE') : null,
            stage: TaskStage::tryFrom((string) $text('X-NEKTO-STAGE')),
            demand: Demand::tryFrom((string) $text('X-NEKTO-DEMAND')),
            area: $text('X-NEKTO-AREA'),
            rule: preg_match('/^FREQ=(?:DAILY|WEEKLY|MONTHLY|YEARLY)[A-Z0-9=;,-]*$/', strtoupper((string) $text('RRULE'))) === 1 ? strtoupper((string) $text('RRULE')) : null,
        );
    }

    private static function exact(?string $text): ?CarbonImmutable
    {
        return $text !== null && preg_match('/^\d{8}T\d{6}Z$/D', $text) === 1 ? rescue(static fn (): ?CarbonImmutable => CarbonImmutable::createFromFormat('Ymd\THis\Z', $text, 'UTC'), null, false) : null;
    }

    /** @return list<string> addresses that are attached */
    private static function links(VTodo $todo): array
    {
        $links = [];
        foreach ($todo->select('ATTACH') as $property) {
            preg_match('/^https?:\/\/\S{1,1900}$/iD', trim((string) $property)) === 1 && $links[] = trim((string) $property);
        }

        return $links;
    }

    /**
     * @param  list<array{line: int, what: string}>  $problems
     * @return array{string|null, CarbonImmutable|null} a day, or a moment
     */
    private function moment(VTodo $todo, string $name, CalendarComponent $component, array &$problems): array
    {
        $property = $todo->{$name};
        if (! $property instanceof DateProperty) {
            return [null, null];
        }
        $raw = trim((string) $property);
        $time = CalendarTime::of($raw);
        if ($time === null) {
            $problems[] = ['line' => $component->line, 'what' => (string) __('files.no_date', ['words' => "{$name} {$raw}"])];

            return [null, null];
        }
        if ($time->time === null) {
            return [$time->date, null];
        }
        $zone = trim((string) ($property['TZID'] ?? ''));
        $clock = match (true) {
            $time->isUtc => Offsets::fixed(0),
            $zone === '' => null,
            default => ZoneNames::clock($zone) ?? DescribedZone::all($component->text)[$zone] ?? null,
        };

        return [null, CarbonImmutable::createFromTimestampUTC(($clock ?? Offsets::of(new \DateTimeZone($this->user->zone)))->utc($time->local()))];
    }

    private static function minutes(?string $duration): ?int
    {
        if ($duration === null || preg_match('/^P(?:(\d+)W)?(?:(\d+)D)?(?:T(?:(\d+)H)?(?:(\d+)M)?(?:\d+S)?)?$/', strtoupper($duration), $part) !== 1) {
            return null;
        }
        $minutes = (int) ($part[1] ?? 0) * 10080 + (int) ($part[2] ?? 0) * 1440 + (int) ($part[3] ?? 0) * 60 + (int) ($part[4] ?? 0);

        return $minutes >= 1 && $minutes <= 6000 ? $minutes : null;
    }
}
