<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Exchange\Own\WriteOwn;
use App\Models\Context;
use App\Models\Subtask;
use App\Models\Task;
use App\Models\User;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Sabre\VObject\Component\VCalendar;

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
        $parts[] = $task->not_before === null ? '' : 't:'.$this->user->local($task->not_before)->format('Y-m-d');
        $parts[] = $task->estimate === null ? '' : "for:{$task->estimate}min";
        $parts[] = $task->waiting_for === null ? '' : 'wait:'.str_replace(' ', '_', $this->plain($task->waiting_for));
        foreach ($task->links as $link) {
            $parts[] = $link->address;
        }

        return implode(' ', array_filter($parts, static fn (string $part): bool => $part !== ''));
    }

    /** @param  Collection<int, Task>  $tasks */
    private function csv(Collection $tasks): string
    {
        $stream = fopen('php://temp', 'r+b') ?: throw new \RuntimeException('No memory for a table.');
        fputcsv($stream, ['id', 'title', 'note', 'due', 'start', 'estimate', 'importance', 'project', 'contexts', 'waiting', 'link', 'done'], ',', '"', '');
        foreach ($tasks as $task) {
            fputcsv($stream, array_map(self::safe(...), [
                "nekto-{$task->id}", $task->title, (string) $task->note, substr((string) $this->due($task), 0, 10), $task->not_before === null ? '' : $this->user->local($task->not_before)->format('Y-m-d'),
                (string) $task->estimate, (string) $task->importance?->word(), (string) $task->project?->name, $task->contexts->map(static fn (Context $one): string => $one->name)->implode(', '),
                (string) $task->waiting_for, (string) $task->links->first()?->address, $task->done_at === null ? '' : 'done',
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
                $text .= '- ['.($task->done_at === null ? ' ' : 'x').'] '.implode(' ', array_filter([
                    $this->plain($task->title),
                    $task->estimate === null ? '' : 'for '.Times::duration($task->estimate),
                    $this->due($task) === null ? '' : 'by '.substr($this->due($task), 0, 10),
                    ...$task->contexts->map(static fn (Context $one): string => '@'.self::word($one->name))->all(),
                ]))."\n";
                $text .= $task->subtasks->map(fn (Subtask $one): string => '  - ['.($one->done_at === null ? ' ' : 'x').'] '.$this->plain($one->title).($one->estimate === null ? '' : ' for '.Times::duration($one->estimate))."\n")->implode('');
            }
        }

        return $text;
    }

    /** @param  Collection<int, Task>  $tasks */
    private function calendar(Collection $tasks): string
    {
        $quiet = error_reporting(error_reporting() & ~E_DEPRECATED & ~E_USER_DEPRECATED); // sabre/vobject's, not ours
        $calendar = new VCalendar(['PRODID' => '-//Nekto//EN']);
        foreach ($tasks as $task) {
            $todo = $calendar->createComponent('VTODO', array_filter([
                'UID' => "nekto-task-{$task->id}",
                'SUMMARY' => $task->title,
                'DESCRIPTION' => $task->note,
                'PRIORITY' => $task->importance === null ? null : [4 => 1, 3 => 3, 2 => 5, 1 => 8][$task->importance->value],
                'STATUS' => $task->done_at === null ? 'NEEDS-ACTION' : 'COMPLETED',
                'ESTIMATED-DURATION' => $task->estimate === null ? null : "PT{$task->estimate}M",
                'URL' => $task->links->first()?->address,
                'RRULE' => $task->repeat?->rule,
                'X-NEKTO-PROJECT' => $task->project?->name,
                'X-NEKTO-WAITING-FOR' => $task->waiting_for,
            ], static fn (mixed $value): bool => $value !== null && $value !== ''), false);
            $todo->add('DTSTAMP', $this->now->utc());
            $task->contexts->isEmpty() || $todo->add('CATEGORIES', $task->contexts->map(static fn (Context $one): string => $one->name)->all());
            $task->due_on === null || $todo->add('DUE', str_replace('-', '', $task->due_on), ['VALUE' => 'DATE']);
            $task->due_at === null || $todo->add('DUE', $task->due_at->utc());
            $task->not_before === null || $todo->add('DTSTART', $task->not_before->utc());
            $task->done_at === null || $todo->add('COMPLETED', $task->done_at->utc());
            $calendar->add($todo);
        }
        $text = $calendar->serialize();
        error_reporting($quiet);

        return $text;
    }

    private function mail(Task $task): string
    {
        $body = trim(implode("\n\n", array_filter([(string) $task->note, $task->subtasks->map(static fn (Subtask $one): string => "- {$one->title}")->implode("\n"), $this->todoTxt($task)])));

        return "From nekto@localhost {$task->created_at->utc()->format('D M d H:i:s Y')}\r\n"
            ."Message-ID: <nekto-task-{$task->id}@localhost>\r\nDate: {$task->created_at->toRfc2822String()}\r\n"
            .'From: Nekto <nekto@localhost>'."\r\n".'Subject: '.mb_encode_mimeheader($this->plain($task->title), 'UTF-8', 'B', "\r\n")."\r\n"
            ."MIME-Version: 1.0\r\nContent-Type: text/plain; charset=UTF-8\r\nContent-Transfer-Encoding: 8bit\r\n\r\n"
            .preg_replace(['/\R/', '/^(>*From )/m'], ["\r\n", '>$1'], $body)."\r\n\r\n";
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
