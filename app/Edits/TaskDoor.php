<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Project;
use App\Models\RefusedTime;
use App\Models\Task;
use App\Models\TaskStage;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\Grid;

/**
 * The one door through which a task's columns change, with what follows from each: a project brings its area, minutes
 * follow the estimate, a stage clears what belonged to the one before, a set time is anchored. Goes within a transaction.
 */
final readonly class TaskDoor
{
    public function __construct(private SetTime $setTime) {}

    /**
     * @param  array<string, mixed>  $columns  and `left`, minutes, where somebody says how much that is
     * @return RefusedTime|null if its set time is another's
     */
    public function change(Task $task, array $columns, CarbonImmutable $now): ?RefusedTime
    {
        $task->update([
            ...array_diff_key($columns, ['left' => true]),
            ...self::belonging($task, $columns),
            ...(array_key_exists('estimate', $columns) && $columns['estimate'] !== $task->estimate && ! isset($columns['by_steps']) ? ['by_steps' => false] : []), // somebody said it
            ...self::said($task, $columns, $now),
            ...self::stage($task, $columns, $now),
            ...self::asked($task, $columns, $now),
            ...(array_key_exists('picked_on', $columns) && $columns['picked_on'] === null ? ['key' => false] : []), // only a pick can be a key task
        ]);
        if ($task->wasChanged(['done_at', 'stage']) && ($task->done_at !== null || $task->stage !== TaskStage::Open)) {
            StopClock::of($task->user, $task->done_at ?? $now, $task); // pressed before it came, it stops when it was pressed
        }
        $task->recount();

        return $this->setTime->follow($task, $now);
    }

    /**
     * A task that is put into a project takes its area, unless another one was chosen with it; and no section but one of
     * that project.
     *
     * @param  array<string, mixed>  $columns
     * @return array<string, int|null>
     */
    public static function belonging(Task $task, array $columns): array
    {
        $section = array_key_exists('section_id', $columns) ? $columns['section_id'] : $task->section_id;
        $id = array_key_exists('project_id', $columns) ? $columns['project_id'] : $task->project_id;
        $isNew = array_key_exists('project_id', $columns) && (int) $columns['project_id'] !== (int) $task->project_id;
        if (! $isNew && ! array_key_exists('section_id', $columns)) {
            return [];
        }
        $project = $id === null ? null : Project::query()->where('user_id', $task->user_id)->find($id);
        $follows = $isNew && $project !== null && (int) ($columns['area_id'] ?? $task->area_id) === (int) $task->area_id;

        return [
            'section_id' => $section !== null && $project?->sections()->whereKey($section)->exists() ? (int) $section : null,
            ...($follows ? ['area_id' => $project->area_id] : []),
        ];
    }

    /**
     * What is said to be left, and since when what is worked counts against it. Another estimate says that there is so
     * much more to do, or less.
     *
     * @param  array<string, mixed>  $columns
     * @return array{said?: int|null, said_at?: CarbonImmutable|null}
     */
    private static function said(Task $task, array $columns, CarbonImmutable $now): array
    {
        if (array_key_exists('left', $columns)) {
            return ['said' => $columns['left'], 'said_at' => $columns['left'] === null ? null : $now];
        }
        if (! array_key_exists('estimate', $columns) || $columns['estimate'] === $task->estimate) {
            return [];
        }

        return $columns['estimate'] === null || $task->said === null
            ? ['said' => $columns['estimate'], 'said_at' => null]
            : ['said' => max(Grid::STEP, $task->said + $columns['estimate'] - (int) $task->estimate)];
    }

    /**
     * @param  array<string, mixed>  $columns
     * @return array{ask_on?: string} so that what waits is never forgotten
     */
    private static function asked(Task $task, array $columns, CarbonImmutable $now): array
    {
        $waits = ($columns['stage'] ?? $task->stage) === TaskStage::Waiting;

        return $waits && ($columns['ask_on'] ?? (array_key_exists('ask_on', $columns) ? null : $task->ask_on)) === null ? ['ask_on' => AskAgain::on($task->user, $now)] : [];
    }

    /**
     * @param  array<string, mixed>  $columns
     * @return array<string, mixed> what belonged to a stage goes with it, unless it is said otherwise
     */
    private static function stage(Task $task, array $columns, CarbonImmutable $now): array
    {
        $stage = $columns['stage'] ?? null;
        if ($stage === null || $stage === $task->stage) {
            return [];
        }

        return array_diff_key(match ($stage) {
            TaskStage::Open => ['ask_on' => null, 'return_on' => null, 'waiting_for' => null, 'waiting_since' => null],
            TaskStage::Inbox => ['ask_on' => null, 'return_on' => null],
            TaskStage::Waiting => ['waiting_since' => $task->waiting_since ?? $task->user->local($now)->format('Y-m-d')],
            default => [],
        }, $columns);
    }
}
