<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\Context;
use App\Models\Link;
use App\Models\Subtask;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Wording\Rules;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Task\Demand;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VTodo;

/** Writes tasks in the formats in which they come in. */
final readonly class WriteTasks
{
    private const PRIORITY = [4 => 'A', 3 => 'B', 2 => 'C', 1 => 'D'];

    public function __construct(private User $user, private CarbonImmutable $now) {}

    /** @param  Collection<int, Task>  $tasks  with area, project, contexts, links, subtasks and repeat */
    public function __invoke(Format $format, Collection $tasks): string
    {
        return match ($format) {
            Format::TodoTxt => $tasks->map($this->todoTxt(...))->map(static fn (string $line): string => "{$line}\n")->implode(''),
            Format::Csv => $this->csv($tasks),
            Format::Markdown => $this->markdown($tasks),
            Format::ICalendar => $this->calendar($tasks),
            Format::Mail => $tasks->map($this->mail(...))->implode(''),
            Format::Own => implode('', iterator_to_array((new WriteOwn($this->user, $this->now))(), false)),
        };
    }

    private function todoTxt(Task $task): string
    {
        $caught = $this->user->local($task->created_at)->format('Y-m-d');
        $parts = $task->done_at === null
            ? [$task->importance === null ? '' : '('.self::PRIORITY[$task->importance->value].')', $caught]
            : ['x', $this->user->local($task->done_at)->format('Y-m-d'), $caught];
        $parts[] = $this->plain($task->title);
        $task->project === null || $parts[] = '+'.self::word($task->project->name);
        foreach ($task->contexts as $context) {
            $parts[] = '@'.self::word($context->name);
        }
        $parts[] = $this->due($task) === null ? '' : 'due:'.$this->due($task);
        $parts[] = $this->start($task) === null ? '' : 't:'.$this->start($task);
        $parts[] = $task->estimate === null ? '' : "for:{$task->estimate}min";
        $parts[] = $task->waiting_for === null ? '' : 'wait:'.str_replace(' ', '_', $this->plain($task->waiting_for));
        foreach ($task->links as $link) {
            $parts[] = $link->address;
        }
        $parts[] = $this->repeat($task) === null ? '' : 'repeat:'.$this->repeat($task);
        $parts[] = $task->done_at === null || $task->importance === null ? '' : "importance:{$task->importance->word()}"; // the format has none for what is done
        $parts[] = $task->demand === Demand::Deep ? 'demand:deep' : '';
        $parts[] = $task->stage === TaskStage::Inbox ? '' : "stage:{$task->stage->value}";
        $parts[] = 'id:'.$this->key($task);

        return implode(' ', array_filter($parts, static fn (string $part): bool => $part !== ''));
    }

    /** @param  Collection<int, Task>  $tasks */
    private function csv(Collection $tasks): string
    {
        $stream = fopen('php://temp', 'r+b') ?: throw new \RuntimeException('No memory for a table.');
        fputcsv($stream, ['id', 'title', 'note', 'due', 'start', 'estimate', 'importance', 'demand', 'area', 'project', 'contexts', 'stage', 'waiting', 'repeat', 'subtasks', 'link', 'done'], ',', '"', '');
        foreach ($tasks as $task) {
            fputcsv($stream, array_map(self::safe(...), [
                $this->key($task), $task->title, (string) $task->note, strtr((string) $this->due($task), 'T', ' '), strtr((string) $this->start($task), 'T', ' '),
                (string) $task->estimate, (string) $task->importance?->word(), $task->demand->value, $task->area->name, (string) $task->project?->name, $task->contexts->map(static fn (Context $one): string => $one->name)->implode(', '),
                $task->stage->value, (string) $task->waiting_for, (string) $this->repeat($task), rtrim($this->subtasks($task, '')), $task->links->map(static fn (Link $one): string => $one->address)->implode("\n"), $task->done_at === null ? '' : 'done',
            ]), ',', '"', '');
        }
        rewind($stream);

        return (string) stream_get_contents($stream);
    }

    /** @param  Collection<int, Task>  $tasks */
    private function markdown(Collection $tasks): string
    {
        $text = '';
        foreach ($tasks->groupBy(static fn (Task $task): string => (string) $task->project?->name)->sortKeys() as $name => $some) {
            $text .= $name === '' ? '' : ($text === '' ? '' : "\n")."# {$name}\n\n";
            foreach ($some as $task) {
                $title = $this->plain($task->title);
                $text .= '- ['.($task->done_at === null ? ' ' : 'x').'] '.implode(' ', array_filter([
                    $title,
                    $task->estimate === null ? '' : 'for '.Times::duration($task->estimate),
                    $this->due($task) === null ? '' : 'due:'.$this->due($task),
                    $this->start($task) === null ? '' : 'start:'.$this->start($task),
                    $task->repeat?->rule === null ? '' : Rules::inWords($task->repeat->rule),
                    $task->repeat?->after_done === null ? '' : Rules::afterDone($task->repeat->after_done).' after done',
                    $task->importance === null ? '' : "importance:{$task->importance->word()}",
                    $task->waiting_for === null ? '' : 'wait:'.str_replace(' ', '_', $this->plain($task->waiting_for)),
                    ...$task->contexts->map(static fn (Context $one): string => '@'.self::word($one->name))->all(),
                    ...$task->links->map(static fn (Link $one): string => $one->address)->all(),
                    $task->demand === Demand::Deep ? ', deep' : '',
                    '<!-- '.$this->key($task).' '.mb_strlen($title).' '.$task->stage->value.' -->',
                ]))."\n".$this->subtasks($task, '  ');
                foreach (trim((string) $task->note) === '' ? [] : (preg_split('/\R/u', trim((string) $task->note)) ?: []) as $row) {
                    $text .= rtrim("  > {$row}")."\n";
                }
            }
        }

        return $text;
    }

    private function subtasks(Task $task, string $indent): string
    {
        return $task->subtasks->map(fn (Subtask $one): string => "{$indent}- [".($one->done_at === null ? ' ' : 'x').'] '.$this->plain($one->title).($one->estimate === null ? '' : ' for '.Times::duration($one->estimate))."\n")->implode('');
    }

    /** @param  Collection<int, Task>  $tasks */
    private function calendar(Collection $tasks): string
    {
        $quiet = error_reporting(error_reporting() & ~E_DEPRECATED & ~E_USER_DEPRECATED); // sabre/vobject's, not ours
        $calendar = new VCalendar(['PRODID' => '-//Nekto//EN']);
        foreach ($tasks as $task) {
            $key = $this->key($task);
            $todo = $this->todo($calendar, $key, $task->title, $task->estimate, $task->done_at, array_filter([
                'DESCRIPTION' => $task->note,
                'PRIORITY' => $task->importance === null ? null : [4 => 1, 3 => 3, 2 => 5, 1 => 8][$task->importance->value],
                'URL' => $task->links->first()?->address,
                'X-NEKTO-PROJECT' => $task->project?->name,
                'X-NEKTO-AREA' => $task->area->name,
                'X-NEKTO-STAGE' => $task->stage->value,
                'X-NEKTO-DEMAND' => $task->demand->value,
                'X-NEKTO-WAITING-FOR' => $task->waiting_for,
                'X-NEKTO-AFTER-DONE' => $task->repeat?->after_done,
            ], static fn (mixed $value): bool => $value !== null && $value !== ''));
            foreach ($task->links->skip(1) as $link) {
                $todo->add('ATTACH', $link->address);
            }
            $task->contexts->isEmpty() || $todo->add('CATEGORIES', $task->contexts->map(static fn (Context $one): string => $one->name)->all());
            $this->dates($todo, $task);
            foreach ($task->subtasks as $step) {
                $this->todo($calendar, "{$key}-{$step->id}", $step->title, $step->estimate, $step->done_at, ['RELATED-TO' => $key]);
            }
        }
        $text = $calendar->serialize();
        error_reporting($quiet);

        return $text;
    }

    /** @param  array<string, mixed>  $more */
    private function todo(VCalendar $calendar, string $key, string $title, ?int $minutes, ?CarbonImmutable $done, array $more): VTodo
    {
        $todo = $calendar->createComponent('VTODO', ['UID' => $key, 'SUMMARY' => $title, 'STATUS' => $done === null ? 'NEEDS-ACTION' : 'COMPLETED'] + ($minutes === null ? [] : ['ESTIMATED-DURATION' => "PT{$minutes}M"]) + $more, false);
        $todo instanceof VTodo || throw new \LogicException('A VTODO is one.');
        $todo->add('DTSTAMP', $this->now->utc());
        $done === null || $todo->add('COMPLETED', $done->utc());
        $calendar->add($todo);

        return $todo;
    }

    /**
     * When it is due and from when it may begin: of one kind, in this order, and a rule has what it begins with (RFC 5545,
     * 3.6.2 and 3.8.2.3). What these do not let a to-do say is said beside them, and read back.
     */
    private function dates(VTodo $todo, Task $task): void
    {
        [$start, $due] = [$task->not_before, $task->due_at];
        if ($due === null && $task->due_on !== null) {
            $day = $this->user->local($this->now)->setDateFrom(CarbonImmutable::parse($task->due_on))->startOfDay();
            $todo->add('X-NEKTO-DUE', $day->format('Ymd'));
            if ($task->repeat?->rule === null) {
                $todo->add('DUE', $day->format('Ymd'), ['VALUE' => 'DATE']);
                $start !== null && $start < $day->utc() && $todo->add('DTSTART', $this->user->local($start)->format('Ymd'), ['VALUE' => 'DATE']);
                $due = $start = null;
            } else {
                $due = $day->setTime(23, 59)->utc();
            }
        }
        $task->not_before === null || $todo->add('X-NEKTO-START', $task->not_before->utc()->format('Ymd\THis\Z'));
        if ($task->repeat?->rule !== null && ($start === null || ($due !== null && $start >= $due))) {
            $start = $due?->subMinutes($task->due_at === null ? 1439 : max(5, (int) $task->estimate)) ?? $task->created_at;
        }
        $due === null || $todo->add('DUE', $due->utc());
        $start === null || ($due !== null && $start >= $due) || $todo->add('DTSTART', $start->utc());
        $task->repeat?->rule === null || $todo->add('RRULE', $task->repeat->rule);
    }

    private function mail(Task $task): string
    {
        $body = trim(implode("\n\n", array_filter([(string) $task->note, $task->subtasks->map(static fn (Subtask $one): string => "- {$one->title}")->implode("\n"), $this->todoTxt($task)])));

        return "From nekto@localhost {$task->created_at->utc()->format('D M d H:i:s Y')}\r\n"
            ."Message-ID: <{$this->key($task)}@localhost>\r\nDate: {$task->created_at->toRfc2822String()}\r\n"
            .'From: Nekto <nekto@localhost>'."\r\n".'Subject: '.mb_encode_mimeheader($this->plain($task->title), 'UTF-8', 'B', "\r\n")."\r\n"
            ."MIME-Version: 1.0\r\nContent-Type: text/plain; charset=UTF-8\r\nContent-Transfer-Encoding: 8bit\r\n\r\n"
            .preg_replace(['/\R/', '/^(>*From )/m'], ["\r\n", '>$1'], $body)."\r\n\r\n";
    }

    private function key(Task $task): string
    {
        return TaskKey::of($this->user, $task->id, $task->origin);
    }

    /** As in RFC 5545, or the duration after which it comes back. */
    private function repeat(Task $task): ?string
    {
        return $task->repeat === null ? null : ($task->repeat->rule ?? $task->repeat->after_done);
    }

    /** "2026-03-16", with its time unless it is midnight. */
    private function start(Task $task): ?string
    {
        $local = $task->not_before === null ? null : $this->user->local($task->not_before);

        return $local?->format($local->format('H:i') === '00:00' ? 'Y-m-d' : 'Y-m-d\TH:i');
    }

    private function due(Task $task): ?string
    {
        return $task->due_at === null ? $task->due_on : $this->user->local($task->due_at)->format('Y-m-d\TH:i');
    }

    private function plain(string $text): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', $text));
    }

    private static function word(string $name): string
    {
        return (string) preg_replace('/\s+/u', '-', trim($name));
    }

    /** A cell that a table program would take for a formula is marked as text. */
    private static function safe(string $cell): string
    {
        return preg_match('/^[=+@\-\t\r]/', $cell) === 1 ? "'{$cell}" : $cell;
    }
}
