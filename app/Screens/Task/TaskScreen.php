<?php

declare(strict_types=1);

namespace App\Screens\Task;

use App\Models\Task;
use App\Models\User;
use App\Models\Worked;
use App\Planning\Prospects;
use App\Rows\PastRatios;
use App\Time\Clock;
use App\Wording\History;
use Nekto\Core\Estimate\Correction;

/** One task, whole. */
final readonly class TaskScreen
{
    private const EVENTS = 60;

    public function __construct(private PastRatios $past, private Prospects $prospects) {}

    /** @param  string  $back  the address to go back to */
    public function of(User $user, Task $task, string $back): TaskPage
    {
        $task->load(['area', 'project.sections', 'subtasks', 'contexts', 'links', 'attachments', 'repeat']);
        $correction = Correction::of($this->past->pairs($user), (string) $task->area_id, $task->demand, $task->estimate ?? 30);
        $spent = (int) $user->entries()->where('task_id', $task->id)->where('break', false)->selectRaw(Worked::sum(Clock::now()).' as spent')->value('spent');

        return new TaskPage(
            task: $task,
            back: $back,
            areas: $user->areas()->get(),
            projects: $user->projects()->whereNull('done_at')->get(['id', 'user_id', 'name']),
            sets: $user->hoursSets()->get(['id', 'user_id', 'name']),
            contexts: $user->contexts()->pluck('name'),
            likely: $task->estimate !== null && $correction->isReliable() ? $correction->likely($task->estimate) : null,
            careful: $task->estimate !== null && $correction->isReliable() ? $correction->carefully($task->estimate) : null,
            pairs: $correction->pairs,
            spent: $spent,
            left: $task->done_at === null ? $task->left(Clock::now()) : null,
            remaining: $this->past->remaining($user, $task, Clock::now()),
            chance: $task->due_on === null && $task->due_at === null ? null : $this->prospects->chances($user, Clock::now())[$task->id] ?? null,
            blocks: $task->blocks()->orderByDesc('starts_at')->limit(20)->get(),
            history: (new History($user))->lines($task->events()->limit(self::EVENTS)->get()),
        );
    }
}
