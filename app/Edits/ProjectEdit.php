<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\PlanRevision;
use App\Models\Project;
use App\Models\Section;
use App\Models\Task;
use App\Planning\Replan;
use Carbon\CarbonImmutable;

/** Changes of projects and their sections: recorded like every other, and the plan follows. */
final readonly class ProjectEdit
{
    public function __construct(private Replan $replan, private TaskDoor $door) {}

    /**
     * A project that goes to another area takes its tasks along.
     *
     * @param  array<string, mixed>  $columns
     */
    public function change(Project $project, array $columns, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($project->user, $now, function () use ($project, $columns, $now): void {
            $project->update($columns);
            if ($project->wasChanged('area_id')) {
                $this->changeTasks($project, ['area_id' => $project->area_id], $now);
            }
        });
    }

    /** Its tasks stay, in no project. */
    public function remove(Project $project, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($project->user, $now, function () use ($project, $now): void {
            $this->changeTasks($project, ['project_id' => null], $now);
            $project->delete();
        });
    }

    /**
     * One of its tasks up or down among the open ones of its section.
     *
     * @param  int  $by  places, down if positive
     */
    public function moveTask(Project $project, Task $task, int $by, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($project->user, $now, static function () use ($project, $task, $by): void {
            $order = array_values($project->tasks()->whereNull('done_at')->where('section_id', $task->section_id)->pluck('id')->all());
            $at = (int) array_search($task->id, $order, true);
            $to = max(0, min(count($order) - 1, $at + $by));
            [$order[$at], $order[$to]] = [$order[$to], $order[$at]];
            foreach ($order as $position => $id) {
                $project->tasks()->whereKey($id)->update(['position' => $position + 1]);
            }
        });
    }

    /**
     * A task goes before another one of its project, or to the end of a section.
     *
     * @param  int|null  $before  id; null: at the end
     * @param  int|null  $section  id; null: outside all sections
     */
    public function dropTask(Project $project, Task $task, ?int $before, ?int $section, CarbonImmutable $now): ?PlanRevision
    {
        $section = $section !== null && $project->sections()->whereKey($section)->exists() ? $section : null;

        return $this->replan->after($project->user, $now, static function () use ($project, $task, $before, $section): void {
            $order = array_values(array_diff($project->tasks()->whereNull('done_at')->where('section_id', $section)->pluck('id')->all(), [$task->id]));
            $at = $before === null ? false : array_search($before, $order, true);
            array_splice($order, $at === false ? count($order) : (int) $at, 0, [$task->id]);
            $task->section_id === $section || $project->tasks()->whereKey($task->id)->update(['section_id' => $section]);
            foreach ($order as $position => $id) {
                $project->tasks()->whereKey($id)->update(['position' => $position + 1]);
            }
        });
    }

    /** @param  array{name: string, sequential?: bool, due_on?: string|null}  $columns */
    public function addSection(Project $project, array $columns, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($project->user, $now, static function () use ($project, $columns): void {
            $project->sections()->create($columns + ['user_id' => $project->user_id, 'position' => 1 + (int) $project->sections()->max('position')]);
        });
    }

    /** @param  array<string, mixed>  $columns */
    public function changeSection(Section $section, array $columns, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($section->project->user, $now, static function () use ($section, $columns): void {
            $section->update($columns);
        });
    }

    /** Its tasks stay in the project. */
    public function removeSection(Section $section, CarbonImmutable $now): ?PlanRevision
    {
        return $this->replan->after($section->project->user, $now, function () use ($section, $now): void {
            foreach ($section->project->tasks()->where('section_id', $section->id)->with('user')->get() as $task) {
                $this->door->change($task, ['section_id' => null], $now);
            }
            $section->delete();
        });
    }

    /** @param  array<string, mixed>  $columns */
    private function changeTasks(Project $project, array $columns, CarbonImmutable $now): void
    {
        foreach ($project->tasks()->with('user')->get() as $task) {
            $this->door->change($task, $columns, $now);
        }
    }
}
