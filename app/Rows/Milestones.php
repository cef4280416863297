<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Due dates with no work of their own: of projects and their sections. What belongs to one is due by then at the latest,
 * whatever date of its own it has.
 */
final readonly class Milestones
{
    /** A task's milestones, as columns of a query that joins its project and section. */
    public const BY = 'case when projects.done_at is null and projects.deleted_at is null then projects.due_on end as project_by, case when projects.done_at is null and projects.deleted_at is null then sections.due_on end as section_by';

    /**
     * @param  array<int, string>  $projects  local days by the project's id
     * @param  array<int, string>  $sections  by the section's id
     */
    private function __construct(private array $projects, private array $sections) {}

    public static function of(User $user): self
    {
        $days = ['project' => [], 'section' => []];
        foreach (DB::table('projects')->selectRaw("'project' as what, id, due_on")->where('user_id', $user->id)->whereNotNull('due_on')->whereNull('done_at')->whereNull('deleted_at')
            ->unionAll(DB::table('sections')->selectRaw("'section', sections.id, sections.due_on")->join('projects', 'projects.id', 'sections.project_id')->where('sections.user_id', $user->id)->whereNotNull('sections.due_on')->whereNull('projects.done_at')->whereNull('projects.deleted_at'))->get() as $row) {
            $days[$row->what][(int) $row->id] = $row->due_on;
        }

        return new self($days['project'], $days['section']);
    }

    /** The moment by which a task is due: its own, or that of its milestone, whichever is the earlier one. */
    public function due(WorkTime $time, ?string $on, ?string $at, int $set, ?int $project, ?int $section): ?int
    {
        return self::earliest($time, $on, $at, $set, $this->projects[$project ?? 0] ?? null, $this->sections[$section ?? 0] ?? null);
    }

    /** The same where the days of its milestones are at hand: of those that go on, as BY has them. */
    public static function earliest(WorkTime $time, ?string $on, ?string $at, int $set, ?string ...$by): ?int
    {
        $due = $time->due($on, $at, $set);
        foreach ($by as $day) {
            $due = $day === null ? $due : min($due ?? PHP_INT_MAX, $time->due($day, null, $set) ?? PHP_INT_MAX);
        }

        return $due;
    }

    public function isEmpty(): bool
    {
        return $this->projects === [] && $this->sections === [];
    }

    /**
     * Each with its name and the hours it is measured in.
     *
     * @return list<array{project: int, name: string, due: int, set: int}>
     */
    public function all(Desk $desk): array
    {
        if ($this->isEmpty()) {
            return [];
        }
        $user = $desk->user();
        $projects = $user->projects()->with(['area', 'sections'])->whereNull('done_at')->where(fn ($one) => $one->whereKey(array_keys($this->projects))->orWhereHas('sections', fn ($section) => $section->whereKey(array_keys($this->sections))))->get();
        $all = [];
        foreach ($projects as $project) {
            $set = $project->area->hours_set_id;
            $names = isset($this->projects[$project->id]) ? [[$project->name, $this->projects[$project->id]]] : [];
            foreach ($project->sections as $section) {
                isset($this->sections[$section->id]) && $names[] = ["{$project->name}: {$section->name}", $this->sections[$section->id]];
            }
            foreach ($names as [$name, $day]) {
                $all[] = ['project' => $project->id, 'name' => $name, 'due' => (int) $desk->time()->due($day, null, $set), 'set' => $set];
            }
        }

        return $all;
    }
}
