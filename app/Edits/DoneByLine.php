<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Time\Moments;
use App\Time\Zones;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Nekto\Core\Capture\DoLine;
use Nekto\Core\Capture\LineParser;
use Nekto\Core\Capture\When;

/** What a line does with the task it finds: hands it off, sets a time or a date, an estimate, an importance, done or open again. */
final readonly class DoneByLine
{
    /** @param  string  $words  that are looked for */
    private function __construct(private User $user, private DoLine $line, public string $words) {}

    /** Null where the line only looks for something. */
    public static function of(User $user, LineParser $parser, string $text): ?self
    {
        $line = DoLine::of($text, $parser);

        return $line === null ? null : new self($user, $line, $line->words);
    }

    /** @return array<string, mixed> columns of the task */
    public function columns(CarbonImmutable $now): array
    {
        $line = $this->line->line;
        $columns = [];
        if ($this->line->to !== null || $line->ask() !== null) {
            $columns += ['stage' => TaskStage::Waiting, 'waiting_for' => $this->line->to ?? __('task.somebody'), 'ask_on' => $line->ask()?->day?->asString()];
        }
        $at = self::moment($this->user, $line->at());
        $at === null || $columns += ['set_at' => $at, 'picked_on' => $line->at()?->day?->asString()];
        $line->at() === null && $line->on()?->day !== null && $columns += ['picked_on' => $line->on()->day->asString()];
        if ($line->due()?->day !== null) {
            $columns += ['due_at' => self::moment($this->user, $line->due()), 'due_on' => $line->due()->minuteOfDay === null ? $line->due()->day->asString() : null];
        }
        $line->start()?->day === null || $columns += ['not_before' => self::moment($this->user, new When($line->start()->day, $line->start()->minuteOfDay ?? 0))];
        $line->minutes() === null || $columns += ['estimate' => $line->minutes()];
        $line->importance() === null || $columns += ['importance' => $line->importance()];
        $this->line->done === null || $columns += ['done_at' => $this->line->done ? $now : null];

        return $columns;
    }

    /** In words, as it is offered; empty where it would change nothing of this task. */
    public function said(Task $task, CarbonImmutable $now): string
    {
        $columns = $this->columns($now);
        if (($this->line->done === true && $task->done_at !== null) || ($this->line->done === false && $task->done_at === null) || ($this->line->done !== false && $task->done_at !== null) || $task->trashed()) {
            return '';
        }
        $day = fn (?string $on): string => $on === null ? '' : Times::day($this->user, CarbonImmutable::parse("{$on} 12:00", $this->user->zone), $now);
        $says = [];
        foreach ($columns as $column => $value) {
            $says[] = match (true) {
                $column === 'waiting_for' => __('find.does.waits', ['person' => $value]),
                $column === 'ask_on' => $value === null ? '' : __('find.does.ask', ['day' => $day($value)]),
                $column === 'set_at' => __('find.does.set', ['when' => Times::when($this->user, $value, $now)]),
                $column === 'picked_on' && ! isset($columns['set_at']) => __('find.does.picked', ['day' => $day($value)]),
                $column === 'due_at' && $value !== null => __('find.does.due', ['when' => Times::when($this->user, $value, $now)]),
                $column === 'due_on' && $value !== null => __('find.does.due', ['when' => $day($value)]),
                $column === 'not_before' => __('find.does.start', ['when' => Times::when($this->user, $value, $now)]),
                $column === 'estimate' => __('find.does.estimate', ['minutes' => Times::duration($value)]),
                $column === 'importance' => __('find.does.importance', ['word' => $value->word()]),
                $column === 'done_at' => __($value === null ? 'find.does.again' : 'find.does.done'),
                default => '',
            };
        }

        return implode(', ', array_filter($says));
    }

    private static function moment(User $user, ?When $when): ?CarbonImmutable
    {
        return $when?->day === null || $when->minuteOfDay === null ? null : Moments::moment(Zones::named($user->zone)->at($when->day, $when->minuteOfDay));
    }
}
