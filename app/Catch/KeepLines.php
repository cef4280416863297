<?php

declare(strict_types=1);

namespace App\Catch;

use App\Edits\NewTasks;
use App\Edits\ProjectNames;
use App\Edits\TaskDraft;
use App\Models\RefusedTime;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Repeats\StartRepeat;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Capture\DurationReader;
use Nekto\Core\Capture\Kind;
use Nekto\Core\Capture\Line;
use Nekto\Core\Capture\OutlineItem;
use Nekto\Core\Capture\When;

/** Turns what was understood of typed lines into inbox items. */
final readonly class KeepLines
{
    public function __construct(private NewTasks $births, private StartRepeat $repeats) {}

    /**
     * @param  list<OutlineItem>  $items
     * @param  array<int, list<string>>  $refused  what the person refused to have understood, by line
     * @param  array<string, mixed>  $more  further columns, as the source
     * @param  array<int, list<string>>  $proposed  what was proposed and seen, by line
     * @return list<Task>
     */
    public function __invoke(User $user, CaughtLine $caught, array $items, array $refused, CarbonImmutable $now, array $more = [], array $proposed = []): array
    {
        $lines = array_map(static fn (OutlineItem $item): Line => $caught->propose($item->text, $refused[$item->line] ?? [], $proposed[$item->line] ?? []), $items);
        $projects = new ProjectNames($user);

        return $this->keep($user, $lines, array_map(
            static fn (Line $line, OutlineItem $item): TaskDraft => self::draft($user, $projects, $line, $item, $now)->with($more),
            $lines,
            $items,
        ), $now);
    }

    /** @param  array<string, mixed>  $more */
    public function one(User $user, Line $line, CarbonImmutable $now, array $more = []): Task
    {
        return $this->keep($user, [$line], [self::draft($user, new ProjectNames($user), $line, null, $now)->with($more)], $now)[0];
    }

    /** @return list<RefusedTime> */
    public function refused(): array
    {
        return $this->births->refused();
    }

    /**
     * @param  list<Line>  $lines
     * @param  list<TaskDraft>  $drafts
     * @return list<Task>
     */
    private function keep(User $user, array $lines, array $drafts, CarbonImmutable $now): array
    {
        $tasks = $this->births->all($user, $drafts, $now);
        foreach ($lines as $i => $line) {
            $repeat = $line->repeat();
            $repeat === null || ($this->repeats)($tasks[$i], $repeat->rule, $repeat->afterDone, $now);
        }

        return $tasks;
    }

    private static function draft(User $user, ProjectNames $projects, Line $line, ?OutlineItem $item, CarbonImmutable $now): TaskDraft
    {
        $project = $line->name(Kind::Project);
        $due = $line->due();
        $dueAt = self::moment($user, $due);
        $start = $line->start();
        $link = $line->name(Kind::Link);

        return new TaskDraft(
            [
                'project_id' => $project === null ? null : $projects->ofSign($project)->id,
                ...self::area($user, $line),
                'title' => $line->title,
                'typed' => trim($line->text),
                'importance' => $line->importance(),
                'demand' => $line->demand()->value ?? 'light',
                'estimate' => $line->minutes(),
                'due_on' => $dueAt === null ? $due?->day?->asString() : null,
                'due_at' => $dueAt,
                'not_before' => $start?->day === null ? null : self::moment($user, new When($start->day, $start->minuteOfDay ?? 0)),
                'picked_on' => $line->on()?->day?->asString(),
                'set_at' => self::moment($user, $line->at()),
                'part' => $line->name(Kind::Part),
                ...self::waiting($line),
                'done_at' => $item?->done === true ? $now : null,
            ],
            array_map(self::subtask(...), $item->under ?? []),
            $line->contexts(),
            $link === null ? [] : [['address' => $link, 'title' => null]],
        );
    }

    /** @return array{area_id?: int} */
    private static function area(User $user, Line $line): array
    {
        $name = $line->name(Kind::Area);
        $id = $name === null ? null : $user->areas()->where('name', $name)->value('id');

        return $id === null ? [] : ['area_id' => (int) $id];
    }

    /**
     * Somebody else's turn: it waits from now on, and is asked about.
     *
     * @return array{waiting_for?: string, stage?: string, ask_on?: string|null}
     */
    private static function waiting(Line $line): array
    {
        $for = $line->name(Kind::Waiting);

        return $for === null && $line->ask() === null ? [] : ['waiting_for' => $for ?? __('task.somebody'), 'stage' => TaskStage::Waiting->value, 'ask_on' => $line->ask()?->asString()];
    }

    /** @return array{title: string, estimate: int|null, done: bool} */
    private static function subtask(OutlineItem $item): array
    {
        [$title, $minutes] = DurationReader::apart($item->text);

        return ['title' => $title, 'estimate' => $minutes, 'done' => $item->done];
    }

    /** Null without a time. */
    private static function moment(User $user, ?When $when): ?CarbonImmutable
    {
        return $when?->day === null || $when->minuteOfDay === null ? null : Moments::moment(Zones::named($user->zone)->at($when->day, $when->minuteOfDay));
    }
}
