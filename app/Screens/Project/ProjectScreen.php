<?php

declare(strict_types=1);

namespace App\Screens\Project;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Project;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Models\Worked;
use App\Planning\Prospects;
use App\Rows\Candidate;
use App\Rows\Desk;
use App\Rows\RowMapper;
use App\Rows\Steps;
use App\Screens\Frame\DayTape;
use App\Screens\Frame\TapeDay;
use App\Time\Clock;
use App\Time\Moments;
use App\Wording\Times;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Projects with their remaining work and when the plan finishes them. */
final readonly class ProjectScreen
{
    /** Days of the tape. */
    private const DAYS = 10;

    /** Answers that are named. */
    private const NAMED = 4;

    public function __construct(private Prospects $prospects, private Desk $desk) {}

    /** @return list<array{project: Project, open: int, done: int, minutes: int, end: int|null}> */
    public function all(User $user): array
    {
        $counts = DB::table('tasks')->where('user_id', $user->id)->whereNull('deleted_at')->whereNotNull('project_id')->groupBy('project_id')
            ->select('project_id', DB::raw('sum(done_at is null) as open'), DB::raw('sum(done_at is not null) as done'), DB::raw('sum(case when done_at is null then coalesce('.Worked::left(Clock::now()).', 0) else 0 end) as minutes'))->get()->keyBy('project_id');
        $ends = DB::table('blocks')->join('tasks', 'tasks.id', 'blocks.task_id')->where('blocks.user_id', $user->id)->where('blocks.state', BlockState::Planned->value)
            ->whereNotNull('project_id')->groupBy('project_id')->select('project_id', DB::raw('max(blocks.ends_at) as last'))->pluck('last', 'project_id');
        $all = [];
        foreach ($user->projects()->whereNull('done_at')->with('area')->get() as $project) {
            if (! $this->desk->lens()->holdsArea($project->area_id)) {
                continue;
            }
            $row = $counts[$project->id] ?? null;
            $all[] = ['project' => $project, 'open' => (int) ($row->open ?? 0), 'done' => (int) ($row->done ?? 0), 'minutes' => (int) ($row->minutes ?? 0), 'end' => isset($ends[$project->id]) ? Moments::stored((string) $ends[$project->id]) : null];
        }

        return $all;
    }

    public function of(User $user, Project $project): ProjectPage
    {
        $tasks = $project->tasks()->counted(Clock::now())->with(['area', 'contexts', 'repeat', 'project'])->withCount('subtasks')->orderBy('position')->get();
        [$open, $done] = $tasks->partition(static fn (Task $task): bool => $task->done_at === null);
        $open = $open->reject(static fn (Task $task): bool => in_array($task->stage, [TaskStage::Reference, TaskStage::Someday], true));
        $last = $user->blocks()->whereIn('task_id', $open->modelKeys())->where('state', BlockState::Planned)->orderByDesc('ends_at')->first();
        $blocks = $user->blocks()->whereIn('task_id', $open->modelKeys())->where('state', BlockState::Planned)->orderBy('starts_at')->get();
        $planned = $blocks->sum(static fn (Block $block): int => RowMapper::time($block)->length());
        $lies = self::lies($blocks);
        $late = $this->prospects->slacks($user, Clock::now())->late;
        $steps = Steps::of($user);
        $next = $open->first(static fn (Task $task): bool => ! isset($steps->before[$task->id]))?->id;
        $minutes = (int) $open->sum(static fn (Task $task): int => $task->minutesLeft(Clock::now()));

        $chances = $this->prospects->chances($user, Clock::now());
        $own = array_intersect_key($chances, array_flip($open->modelKeys()));

        return new ProjectPage(
            project: $project,
            sections: $open->toBase()->groupBy(static fn (Task $task): int => (int) $task->section_id),
            waiting: $open->filter(static fn (Task $task): bool => $task->waiting_for !== null),
            notes: $tasks->filter(static fn (Task $task): bool => $task->stage === TaskStage::Reference),
            done: $done,
            minutes: $minutes,
            unestimated: $open->whereNull('estimate')->count(),
            end: $last?->ends_at,
            whole: $planned >= $minutes,
            chance: $own === [] ? null : min($own),
            chances: $chances,
            areas: $user->areas()->get(),
            others: $user->projects()->whereKeyNot($project->id)->where(static fn ($query) => $query->whereNull('done_at')->orWhere('id', $project->after_id))->orderBy('name')->get(['id', 'name']),
            vessel: $this->vessel($open),
            days: $this->days($open),
            lies: $lies,
            late: array_intersect_key($late, array_flip($open->modelKeys())),
            before: $steps->before,
            next: $next,
            holds: $this->holds($project, $open, $steps, $next, $late),
        );
    }

    /**
     * By the last of its dates, of the work in the hours that most of it is done in.
     *
     * @param  Collection<int, Task>  $open
     */
    private function vessel(Collection $open): ?Vessel
    {
        $candidates = $open->map(fn (Task $task): ?Candidate => $this->desk->open()->one($task->id))->filter(static fn (?Candidate $one): bool => $one?->due !== null && $one->demand !== null);
        $last = $candidates->sortBy(static fn (?Candidate $one): int => (int) $one?->due)->last();
        if ($last === null || $last->due === null || $last->demand === null) {
            return null;
        }
        $own = [];
        foreach ($open as $task) {
            $one = $this->desk->open()->one($task->id);
            if ($one !== null && $one->set === $last->set && $one->due !== null && $one->due <= $last->due && $one->toPlan > 0) {
                $own[] = ['task' => $task, 'minutes' => (int) $one->left];
            }
        }
        $curve = $this->desk->open()->curves[$last->set] ?? null;
        $at = $curve?->at($last->due) ?? $last->demand;

        return new Vessel($last->due, $at->supply, max(0, $at->demand - array_sum(array_column($own, 'minutes'))), $own);
    }

    /**
     * @param  Collection<int, Task>  $open
     * @return list<TapeDay>
     */
    private function days(Collection $open): array
    {
        $user = $this->desk->user();
        $dues = [];
        foreach ($open as $task) {
            $due = $this->desk->open()->one($task->id)?->due;
            $due === null || $dues[$task->id] = [$due, Times::clock($user, $due)];
        }
        $said = [];
        foreach ($dues as $task => [$due, $clock]) { // one mark for each moment
            $said[$due][] = $task;
        }
        foreach ($said as $tasks) {
            foreach ($tasks as $i => $task) {
                $dues[$task][1] = $i > 0 ? '' : 'due '.$dues[$task][1];
            }
        }

        return array_values($open->modelKeys()) === [] ? [] : (new DayTape($this->desk))->of(array_values($open->modelKeys()), $dues, self::DAYS);
    }

    /**
     * What keeps it from going on, with the way on.
     *
     * @param  Collection<int, Task>  $open
     * @param  array<int, int>  $late
     * @return list<array{title: string, what: string, form: string, link: string|null, task: int|null}>
     */
    private function holds(Project $project, Collection $open, Steps $steps, ?int $next, array $late): array
    {
        $holds = [];
        $worst = array_intersect_key($late, array_flip($open->modelKeys()));
        if ($worst !== []) {
            $holds[] = ['title' => __('task.no_time'), 'what' => trans_choice('task.late_tasks', count($worst), ['minutes' => Times::lateness(max($worst))]), 'form' => '', 'link' => '/shape', 'task' => null];
        }
        if (isset($steps->projects[$project->id]) && $project->after !== null) {
            $count = $project->after->tasks()->whereNull('done_at')->whereIn('stage', [TaskStage::Inbox, TaskStage::Open, TaskStage::Waiting])->count();
            $holds[] = ['title' => __('task.after_project', ['project' => $project->after->name]), 'what' => trans_choice('task.still_open', $count), 'form' => '', 'link' => "/projects/{$project->after->id}", 'task' => null];
        }
        foreach ($open->filter(static fn (Task $task): bool => $task->waiting_for !== null)->take(self::NAMED) as $task) {
            $holds[] = ['title' => __('task.waits_on', ['person' => $task->waiting_for]), 'what' => $task->title, 'form' => 'answered', 'link' => null, 'task' => $task->id];
        }
        $first = $next === null ? null : $open->find($next);
        if ($project->sequential && $first !== null && $open->count() > 1) {
            $holds[] = ['title' => __('task.step_first', ['title' => $first->title]), 'what' => trans_choice('task.steps_wait', $open->count() - 1), 'form' => 'any_order', 'link' => null, 'task' => null];
        }
        $bare = $open->first(static fn (Task $task): bool => $task->stage === TaskStage::Open && ($task->importance === null || $task->estimate === null));
        if ($bare !== null) {
            $holds[] = ['title' => $bare->title, 'what' => __($bare->importance === null ? 'task.unweighed_why' : 'task.unestimated_why'), 'form' => '', 'link' => "/tasks/{$bare->id}", 'task' => null];
        }

        return $holds;
    }

    /**
     * Where each task lies by the plan.
     *
     * @param  Collection<int, Block>  $blocks  planned ones, by start
     * @return array<int, array{from: int, to: int, end: int, ahead: bool}>
     */
    private static function lies(Collection $blocks): array
    {
        $lies = [];
        foreach ($blocks as $block) {
            [$start, $end] = [RowMapper::start($block), RowMapper::end($block)];
            $lies[$block->task_id] = ['from' => min($lies[$block->task_id]['from'] ?? $start, $start), 'to' => max($lies[$block->task_id]['to'] ?? $start, $start), 'end' => max($lies[$block->task_id]['end'] ?? $end, $end), 'ahead' => true];
        }

        return $lies;
    }
}
