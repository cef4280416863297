<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Project;
use App\Models\Section;
use App\Models\User;
use App\Planning\Replan;
use App\Screens\Project\ProjectScreen;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Projects with their sections. */
final readonly class ProjectController
{
    public function __construct(private Replan $replan, private Said $said) {}

    public function index(#[CurrentUser] User $user, ProjectScreen $screen): View
    {
        return view('screens.projects', ['projects' => $screen->all($user), 'areas' => $user->areas()->get()]);
    }

    public function show(Project $project, #[CurrentUser] User $user, ProjectScreen $screen): View
    {
        return view('screens.project', $screen->of($user, $project->load(['sections', 'area'])));
    }

    public function store(Request $request, #[CurrentUser] User $user): RedirectResponse
    {
        $project = $user->projects()->create($request->validate($this->rules($user)));

        return redirect("/projects/{$project->id}")->with('status', __('task.saved', ['title' => $project->name]));
    }

    public function update(Request $request, Project $project, #[CurrentUser] User $user): RedirectResponse
    {
        $data = $request->validate($this->rules($user) + ['done' => ['sometimes', 'boolean']]);
        if (isset($data['done'])) {
            $data['done_at'] = (bool) $data['done'] ? Clock::now() : null;
        }
        $revision = $this->replan->after($user, Clock::now(), static function () use ($project, $data): void {
            $project->update($data);
            if (isset($data['area_id'])) {
                $project->tasks()->update(['area_id' => $data['area_id']]);
            }
        });

        return back()->with($this->said->about($revision, __('task.saved', ['title' => $project->name])));
    }

    public function destroy(Project $project): RedirectResponse
    {
        $project->delete();
        $project->tasks()->update(['project_id' => null, 'section_id' => null]);

        return redirect('/projects')->with('status', __('task.project_gone', ['title' => $project->name]));
    }

    public function addSection(Request $request, Project $project): RedirectResponse
    {
        $data = $request->validate(['name' => ['required', 'string', 'max:200'], 'sequential' => ['sometimes', 'boolean']]);
        $project->sections()->create($data + ['user_id' => $project->user_id, 'position' => 1 + (int) $project->sections()->max('position')]);

        return back()->with('status', __('task.saved', ['title' => $data['name']]));
    }

    public function updateSection(Request $request, Section $section, #[CurrentUser] User $user): RedirectResponse
    {
        $data = $request->validate(['name' => ['sometimes', 'required', 'string', 'max:200'], 'sequential' => ['sometimes', 'boolean']]);
        $revision = $this->replan->after($user, Clock::now(), static function () use ($section, $data): void {
            $section->update($data);
        });

        return back()->with($this->said->about($revision, __('task.saved', ['title' => $section->name])));
    }

    public function removeSection(Section $section): RedirectResponse
    {
        $section->delete();

        return back()->with('status', __('task.section_gone', ['title' => $section->name]));
    }

    /** The order of a project's tasks: one of them up or down. */
    public function order(Request $request, Project $project, #[CurrentUser] User $user): RedirectResponse
    {
        $data = $request->validate(['task' => ['required', 'integer'], 'move' => ['required', 'in:up,down']]);
        $task = $project->tasks()->findOrFail($data['task']);
        $revision = $this->replan->after($user, Clock::now(), static function () use ($project, $task, $data): void {
            $order = array_values($project->tasks()->whereNull('done_at')->where('section_id', $task->section_id)->pluck('id')->all());
            $at = (int) array_search($task->id, $order, true);
            $to = max(0, min(count($order) - 1, $at + ($data['move'] === 'up' ? -1 : 1)));
            [$order[$at], $order[$to]] = [$order[$to], $order[$at]];
            foreach ($order as $position => $id) {
                $project->tasks()->whereKey($id)->update(['position' => $position + 1]);
            }
        });

        return back()->with($this->said->about($revision, __('task.order_kept')));
    }

    /** @return array<string, list<mixed>> */
    private function rules(User $user): array
    {
        return [
            'name' => ['sometimes', 'required', 'string', 'max:200'],
            'note' => ['sometimes', 'nullable', 'string', 'max:20000'],
            'area_id' => ['sometimes', 'required', Rule::exists('areas', 'id')->where('user_id', $user->id)],
            'sequential' => ['sometimes', 'boolean'],
        ];
    }
}
