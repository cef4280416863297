<?php

declare(strict_types=1);

namespace App\Screens\Task;

use App\Goals\CycleEdit;
use App\Models\Block;
use App\Models\Subtask;
use App\Models\Task;
use App\Models\User;
use App\Models\Worked;
use App\Planning\Prospects;
use App\Rows\Candidate;
use App\Rows\Desk;
use App\Rows\PastRatios;
use App\Rows\RowMapper;
use App\Rows\Steps;
use App\Screens\Frame\DayTape;
use App\Screens\Frame\TapeDay;
use App\Time\Clock;
use App\Wording\History;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Support\Collection;
use Nekto\Core\Estimate\Correction;
use Nekto\Core\Prospect\Slack;
use Nekto\Core\Task\Shares;

/** One task, whole. */
final readonly class TaskScreen
{
    private const EVENTS = 60;

    /** Days of a tape. */
    private const DAYS = 5;

    /** Of what happened, on its tape. */
    private const GONE = 4;

    public function __construct(private PastRatios $past, private Prospects $prospects, private Desk $desk, private HoldsUp $holdsUp) {}

    /** @param  string  $back  the address to go back to */
    public function of(User $user, Task $task, string $back): TaskPage
    {
        $task->load(['area', 'project.sections', 'subtasks', 'contexts', 'links', 'attachments', 'repeat']);
        $correction = Correction::of($this->past->pairs($user), (string) $task->area_id, $task->demand, $task->estimate ?? 30);
        $spent = (int) $user->entries()->where('task_id', $task->id)->where('break', false)->selectRaw(Worked::sum(Clock::now()).' as spent')->value('spent');

        $now = Clock::now();
        $steps = $task->project_id === null ? null : Steps::of($user);
        $slack = $task->done_at === null ? $this->prospects->slacks($user, $now)->first($task->id) : null;
        $blocks = $task->blocks()->orderByDesc('starts_at')->limit(20)->get();
        $history = (new History($user))->lines($task->events()->limit(self::EVENTS)->get());
        $candidate = $this->desk->open()->one($task->id);

        $goals = CycleEdit::present($user)?->goals()->get() ?? new EloquentCollection;

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
            blocks: $blocks,
            history: $history,
            shares: (new Shares($task->estimate, array_values($task->subtasks->map(static fn (Subtask $one): array => [$one->estimate, $one->done_at !== null])->all())))->minutes,
            candidate: $candidate,
            slack: $slack,
            days: $this->days($user, $task, $candidate, $slack, $blocks, $now),
            holds: $steps === null ? $this->holdsUp->of($user, $task, Steps::among([]), $now) : $this->holdsUp->of($user, $task, $steps, $now),
            waits: $steps === null ? [] : $this->holdsUp->waiting($user, $task, $steps, $now),
            gone: array_slice(array_reverse($history), 0, self::GONE),
            people: $user->tasks()->whereNotNull('waiting_for')->distinct()->orderBy('waiting_for')->limit(50)->pluck('waiting_for'),
            goals: $goals->toBase(),
            steps: $goals->isEmpty() ? new Collection : $user->goalSteps()->where('task_id', $task->id)->whereIn('goal_id', $goals->modelKeys())->get()->toBase(),
        );
    }

    /**
     * @param  Collection<int, Block>  $blocks  the latest first
     * @return list<TapeDay> none of what is done, or has neither a place nor a date
     */
    private function days(User $user, Task $task, ?Candidate $candidate, ?Slack $slack, Collection $blocks, CarbonImmutable $now): array
    {
        $ahead = $blocks->filter(static fn (Block $block): bool => $block->isPlanned() && $block->ends_at > $now);
        if ($task->done_at !== null || ($ahead->isEmpty() && $candidate?->due === null)) {
            return [];
        }
        $due = $candidate?->due;
        $last = $ahead->first();
        $says = $due === null ? [] : [$task->id => [$due, implode(' ', array_filter([__($task->due_hard ? 'task.due_hard' : 'task.due'), Times::clock($user, $due)]))]];

        return (new DayTape($this->desk))->of([$task->id], $says, self::DAYS, $slack === null || $last === null || ! $slack->dated || $slack->late > 0 ? null : [RowMapper::end($last), $slack->latestStart]);
    }
}
