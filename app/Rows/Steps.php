<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\TaskStage;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** In which order the steps of sequential projects and sections come. */
final readonly class Steps
{
    /**
     * @param  array<int, int>  $before  by task id: the open step right before it
     * @param  array<int, true>  $stuck  behind a step that cannot be planned: not weighed, without an estimate, or waiting
     */
    private function __construct(public array $before, public array $stuck) {}

    public static function of(User $user): self
    {
        $rows = DB::table('tasks')->join('projects', 'projects.id', 'tasks.project_id')->leftJoin('sections', 'sections.id', 'tasks.section_id')
            ->where('tasks.user_id', $user->id)->whereNull('tasks.done_at')->whereNull('tasks.deleted_at')
            ->whereIn('stage', [TaskStage::Inbox->value, TaskStage::Open->value, TaskStage::Waiting->value])
            ->whereRaw('coalesce(sections.sequential, projects.sequential) = 1')
            ->orderBy('tasks.position')->orderBy('tasks.id')
            ->get(['tasks.id', 'tasks.project_id', 'tasks.section_id', 'stage', 'importance', 'said']);

        return self::among($rows->all());
    }

    /** @param  iterable<\stdClass>  $rows  open steps of sequential projects and sections, in their order */
    public static function among(iterable $rows): self
    {
        $before = $stuck = $last = $closed = [];
        foreach ($rows as $row) {
            $group = "{$row->project_id}/{$row->section_id}";
            if (isset($last[$group])) {
                $before[(int) $row->id] = $last[$group];
            }
            if (isset($closed[$group])) {
                $stuck[(int) $row->id] = true;
            }
            if ($row->stage !== TaskStage::Open->value || $row->importance === null || (int) $row->said <= 0) {
                $closed[$group] = true;
            }
            $last[$group] = (int) $row->id;
        }

        return new self($before, $stuck);
    }
}
