<?php

declare(strict_types=1);

namespace App\Catch;

use App\Edits\ProjectNames;
use App\Models\Area;
use App\Models\Project;
use App\Models\Task;
use App\Models\User;
use App\Repeats\StartRepeat;
use App\Rows\RowMapper;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Capture\DurationReader;
use Nekto\Core\Capture\Kind;
use Nekto\Core\Capture\Line;
use Nekto\Core\Capture\OutlineItem;
use Nekto\Core\Capture\When;

/** Turns what was understood of a line into an inbox item. */
final class KeepLine
{
    private const TITLE = 200;

    private ProjectNames $projects;

    public function __construct(private readonly User $user, private readonly CarbonImmutable $now, private readonly CaughtLine $caught)
    {
        $this->projects = new ProjectNames($user);
    }

    /**
     * @param  list<string>  $refused
     * @param  array<string, mixed>  $more  further columns, as the source
     */
    public function __invoke(OutlineItem $item, array $refused = [], array $more = []): Task
    {
        return $this->keep($this->caught->understand($item->text, $refused), $more + ['done_at' => $item->done ? $this->now : null], $item->under);
    }

    /**
     * @param  array<string, mixed>  $more
     * @param  list<OutlineItem>  $under  its subtasks
     */
    public function keep(Line $line, array $more = [], array $under = []): Task
    {
        $project = $this->project($line->name(Kind::Project));
        $due = $line->due();
        $dueAt = $this->moment($due);
        $start = $line->start();
        $minutes = $line->minutes();
        $task = $this->user->tasks()->create($more + [
            'area_id' => $project->area_id ?? $this->area()->id,
            'project_id' => $project?->id,
            'title' => mb_substr($line->title, 0, self::TITLE),
            'note' => mb_strlen($line->title) > self::TITLE ? trim($line->text) : null,
            'typed' => trim($line->text),
            'importance' => $line->importance(),
            'demand' => $line->demand()->value ?? 'light',
            'estimate' => $minutes,
            'minutes_left' => $minutes,
            'due_on' => $dueAt === null ? $due?->day?->asString() : null,
            'due_at' => $dueAt,
            'not_before' => $start?->day === null ? null : $this->moment(new When($start->day, $start->minuteOfDay ?? 0)),
            'picked_on' => $line->on()?->day?->asString(),
            'set_at' => $this->moment($line->at()),
            'part' => $line->name(Kind::Part),
            'waiting_for' => $line->name(Kind::Waiting),
            'waiting_since' => $line->name(Kind::Waiting) === null ? null : $this->user->local($this->now)->format('Y-m-d'),
        ]);
        foreach ($line->contexts() as $name) {
            $task->contexts()->attach($this->user->contexts()->firstOrCreate(['name' => mb_substr($name, 0, 100)]));
        }
        if ($line->name(Kind::Link) !== null) {
            $task->links()->create(['user_id' => $this->user->id, 'address' => mb_substr($line->name(Kind::Link), 0, 2000)]);
        }
        $this->addSubtasks($task, $under);
        if ($line->repeat() !== null) {
            (new StartRepeat)($task, $line->repeat()->rule, $line->repeat()->afterDone, $this->now);
        }

        return $task;
    }

    /** @param  list<OutlineItem>  $items */
    private function addSubtasks(Task $task, array $items): void
    {
        foreach ($items as $i => $item) {
            [$title, $minutes] = DurationReader::apart($item->text);
            $task->subtasks()->create([
                'user_id' => $this->user->id, 'title' => mb_substr($title, 0, self::TITLE), 'estimate' => $minutes, 'position' => $i,
                'done_at' => $item->done ? $this->now : null,
            ]);
        }
        $sum = (int) $task->subtasks()->sum('estimate');
        if ($task->estimate === null && $sum > 0) {
            $task->update(['estimate' => $sum, 'minutes_left' => $sum]);
        }
    }

    private function project(?string $name): ?Project
    {
        if ($name === null) {
            return null;
        }
        $words = ProjectNames::words($name);

        return $this->projects->of(mb_strtoupper(mb_substr($words, 0, 1)).mb_substr($words, 1));
    }

    private function area(): Area
    {
        return $this->user->areas()->firstOrFail();
    }

    /** Null without a time. */
    private function moment(?When $when): ?CarbonImmutable
    {
        return $when?->day === null || $when->minuteOfDay === null ? null : RowMapper::moment(Zones::named($this->user->zone)->at($when->day, $when->minuteOfDay));
    }
}
