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
use App\Rows\Desk;
use App\Rows\RowMapper;
use App\Time\Clock;
use App\Time\Moments;
use Illuminate\Support\Facades\DB;

/** Projects with their remaining work and when the plan finishes them. */
final readonly class ProjectScreen
{
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
        $planned = $user->blocks()->whereIn('task_id', $open->modelKeys())->where('state', BlockState::Planned)->get()->sum(static fn (Block $block): int => RowMapper::time($block)->length());
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
        );
    }
}
