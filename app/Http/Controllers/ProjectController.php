<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catch\CaughtLine;
use App\Catch\KeepLines;
use App\Edits\ProjectEdit;
use App\Http\Requests\LinesRequest;
use App\Http\Requests\OrderRequest;
use App\Http\Requests\ProjectRequest;
use App\Http\Requests\SectionRequest;
use App\Models\Project;
use App\Models\RevisionCause;
use App\Models\Section;
use App\Models\TaskStage;
use App\Models\User;
use App\Planning\Replan;
use App\Screens\Project\ProjectScreen;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Projects with their sections. */
final readonly class ProjectController
{
    public function __construct(private ProjectEdit $edit, private Said $said) {}

    public function index(#[CurrentUser] User $user, ProjectScreen $screen): View
    {
        return view('screens.projects', ['projects' => $screen->all($user), 'areas' => $user->areas()->get()]);
    }

    public function show(Project $project, #[CurrentUser] User $user, ProjectScreen $screen): View
    {
        return view('screens.project', $screen->of($user, $project->load(['sections', 'area'])));
    }

    public function store(ProjectRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $project = $user->projects()->create($request->columns());

        return to_route('projects.show', $project)->with('status', __('task.saved', ['title' => $project->name]));
    }

    public function update(ProjectRequest $request, Project $project): RedirectResponse
    {
        $revision = $this->edit->change($project, $request->columns(), Clock::now());

        return back()->with($this->said->about($revision, __('task.saved', ['title' => $project->name])));
    }

    public function destroy(Project $project): RedirectResponse
    {
        $revision = $this->edit->remove($project, Clock::now());

        return to_route('projects.index')->with($this->said->about($revision, __('task.project_gone', ['title' => $project->name])));
    }

    public function addSection(SectionRequest $request, Project $project): RedirectResponse
    {
        $revision = $this->edit->addSection($project, $request->columns(), Clock::now());

        return back()->with($this->said->about($revision, __('task.saved', ['title' => $request->string('name')->toString()])));
    }

    public function updateSection(SectionRequest $request, Section $section): RedirectResponse
    {
        $revision = $this->edit->changeSection($section, $request->columns(), Clock::now());

        return back()->with($this->said->about($revision, __('task.saved', ['title' => $section->name])));
    }

    public function removeSection(Section $section): RedirectResponse
    {
        $revision = $this->edit->removeSection($section, Clock::now());

        return back()->with($this->said->about($revision, __('task.section_gone', ['title' => $section->name])));
    }

    /** The order of a project's tasks: one of them up or down. */
    public function order(OrderRequest $request, Project $project): RedirectResponse
    {
        $task = $project->tasks()->findOrFail($request->integer('task'));
        $revision = $request->isDropped()
            ? $this->edit->dropTask($project, $task, $request->filled('before') ? $request->integer('before') : null, $request->filled('section') ? $request->integer('section') : null, Clock::now())
            : $this->edit->moveTask($project, $task, $request->by(), Clock::now());

        return back()->with($this->said->about($revision, __('task.order_kept')));
    }

    /** Lines that become tasks of the project, at the end of it or of a section. */
    public function addTasks(LinesRequest $request, Project $project, #[CurrentUser] User $user, KeepLines $keep, Replan $replan): RedirectResponse
    {
        $now = Clock::said();
        $items = $request->items();
        $more = ['project_id' => $project->id, 'area_id' => $project->area_id, 'position' => 1 + (int) $project->tasks()->max('position'), 'stage' => TaskStage::Open->value]
            + ($request->filled('section') ? ['section_id' => $project->sections()->whereKey($request->integer('section'))->value('id')] : []);
        $revision = $replan->after($user, $now, static function () use ($user, $now, $items, $keep, $more, $request): void {
            $keep($user, new CaughtLine($user, $now), $items, $request->refused(), $now, $more, $request->proposed());
        }, RevisionCause::Caught);

        return back()->with($this->said->about($revision?->refusing($keep->refused()), trans_choice('task.added_to', count($items), ['project' => $project->name])));
    }
}
