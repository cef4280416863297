<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\TaskStage;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** In which order steps come: those of sequential projects and sections, and of projects that begin after another. */
final readonly class Steps
{
    /** The project that holds a task's own up, as a column; "earlier" is the one it comes after. */
    public const FOLLOWS = '(case when earlier.done_at is null and earlier.deleted_at is null then projects.after_id end) as follows';

    /** What comes after more open ends than these waits as a whole, without a line to each of them. */
    private const MOST_ENDS = 40;

    /** @var array<int, int> by task id: the last of the open steps right before it */
    public array $before;

    /**
     * @param  array<int, list<int>>  $after  by task id: the open steps right before it; those of earlier steps come first
     * @param  array<int, true>  $stuck  behind a step that cannot be planned: not weighed, without an estimate, or waiting
     * @param  array<int, int>  $projects  by the id of a project that does not begin yet: the one it comes after
     */
    private function __construct(public array $after, public array $stuck, public array $projects)
    {
        $this->before = array_map(static fn (array $ids): int => $ids[array_key_last($ids)], array_filter($after));
    }

    public static function of(User $user): self
    {
        $rows = DB::table('tasks')->join('projects', 'projects.id', 'tasks.project_id')->leftJoin('sections', 'sections.id', 'tasks.section_id')
            ->leftJoin('projects as earlier', 'earlier.id', 'projects.after_id')
            ->where('tasks.user_id', $user->id)->whereNull('tasks.done_at')->whereNull('tasks.deleted_at')
            ->whereIn('stage', [TaskStage::Inbox->value, TaskStage::Open->value, TaskStage::Waiting->value])
            ->whereRaw('(coalesce(sections.sequential, projects.sequential) = 1 or projects.after_id is not null or projects.id in (select after_id from projects where user_id = ?))', [$user->id])
            ->get(['tasks.id', 'tasks.project_id', 'tasks.section_id', 'tasks.position', 'stage', 'importance', 'said', DB::raw('coalesce(sections.sequential, projects.sequential) as sequential'), DB::raw(self::FOLLOWS)]);

        return self::among($rows->all());
    }

    /** @param  array<array-key, \stdClass>  $rows  open tasks */
    public static function among(array $rows): self
    {
        $follows = $lines = $stuck = $closed = [];
        foreach (self::inLine($rows) as $row) {
            [$project, $id] = [(int) $row->project_id, (int) $row->id];
            $follows[$project] = (int) $row->follows;
            $line = $row->sequential ? "in {$row->section_id}" : "alone {$id}";
            if (isset($closed[$project][$line])) {
                $stuck[$id] = true;
            }
            if ($row->stage !== TaskStage::Open->value || $row->importance === null || (int) $row->said <= 0) {
                $closed[$project][$line] = true;
            }
            $lines[$project][$line][] = $id;
        }
        $after = $waits = [];
        foreach (self::inOrder($follows) as $project) {
            $own = $lines[$project];
            $earlier = $follows[$project];
            $ends = array_map(static fn (array $line): int => $line[array_key_last($line)], array_values($lines[$earlier] ?? []));
            if ($ends !== []) {
                $waits[$project] = $earlier;
                $isStuck = isset($closed[$earlier]) || count($ends) > self::MOST_ENDS;
                $stuck += $isStuck ? array_fill_keys(array_merge(...array_values($own)), true) : [];
                $closed[$project] = ($closed[$project] ?? []) + ($isStuck ? ['as a whole' => true] : []);
            }
            foreach ($own as $line) {
                $ends === [] || $after[$line[0]] = array_slice($ends, -self::MOST_ENDS);
                foreach (array_slice($line, 1) as $i => $id) {
                    $after[$id] = [$line[$i]];
                }
            }
        }

        return new self($after, $stuck, $waits);
    }

    /**
     * Those that may come after another, in their order; most tasks are in no line.
     *
     * @param  array<array-key, \stdClass>  $rows
     * @return list<\stdClass>
     */
    private static function inLine(array $rows): array
    {
        $earlier = array_filter(array_column($rows, 'follows', 'project_id'));
        $ends = array_flip($earlier);
        $tied = array_values(array_filter($rows, static fn (\stdClass $row): bool => $row->project_id !== null && ($row->sequential || isset($earlier[$row->project_id]) || isset($ends[$row->project_id]))));
        usort($tied, static fn (\stdClass $a, \stdClass $b): int => [$a->position, $a->id] <=> [$b->position, $b->id]);

        return $tied;
    }

    /**
     * Each project behind the one it follows; of those that go round in a circle none follows another.
     *
     * @param  array<int, int>  $follows  by project; 0: none
     * @return list<int>
     */
    private static function inOrder(array &$follows): array
    {
        $depths = [];
        foreach (array_keys($follows) as $project) {
            $way = [];
            for ($at = $follows[$project]; isset($follows[$at]) && ! isset($way[$at]); $at = $follows[$at]) {
                $way[$at] = true;
            }
            $depths[$project] = isset($way[$project]) ? -1 : count($way);
        }
        foreach (array_keys($depths, -1, true) as $project) {
            $follows[$project] = 0;
        }
        asort($depths);

        return array_keys($depths);
    }
}
