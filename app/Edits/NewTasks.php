<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Project;
use App\Models\RefusedTime;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * The one way a task is born, whatever it comes from: with its defaults, its parts and the first line of its history.
 * Rows are written many at a time. Goes within a transaction.
 */
final class NewTasks
{
    private const TITLE = 200;

    private const NOTE = 20_000;

    private const ADDRESS = 2000;

    private const CONTEXT = 100;

    /** SQLite takes so many rows of tasks in one statement, and a few more. */
    private const AT_ONCE = 300;

    /** @var list<RefusedTime> */
    private array $refused = [];

    public function __construct(private readonly SetTime $setTime) {}

    public function one(User $user, TaskDraft $draft, CarbonImmutable $now): Task
    {
        return $this->all($user, [$draft], $now)[0] ?? throw new \LogicException('A draft becomes a task.');
    }

    /**
     * @param  list<TaskDraft>  $drafts
     * @return list<Task> in their order
     */
    public function all(User $user, array $drafts, CarbonImmutable $now): array
    {
        $area = $user->usualArea();
        $projects = $user->projects()->whereKey(array_unique(array_filter(array_map(static fn (TaskDraft $one): ?int => isset($one->columns['project_id']) ? (int) $one->columns['project_id'] : null, $drafts))))->get()->keyBy('id')->all();
        $tasks = [];
        foreach (array_chunk($drafts, self::AT_ONCE) as $some) {
            array_push($tasks, ...$this->write($user, array_map(fn (TaskDraft $draft): Task => $this->row($user, $draft, $now, $area, $projects), $some), $now));
        }
        $this->writeParts($user, $tasks, $drafts, $now);
        foreach ($tasks as $task) {
            $refused = $this->setTime->follow($task, $now);
            $refused === null || $this->refused[] = $refused;
        }

        return $tasks;
    }

    /** @return list<RefusedTime> set times of what was born here that were another's */
    public function refused(): array
    {
        return $this->refused;
    }

    /** @param  array<int, Project>  $projects  by id */
    private function row(User $user, TaskDraft $draft, CarbonImmutable $now, int $area, array $projects): Task
    {
        $columns = $draft->columns;
        $title = trim((string) ($columns['title'] ?? ''));
        $sum = (int) array_sum(array_map(static fn (array $one): int => (int) $one['estimate'], $draft->subtasks));
        $columns += ['by_steps' => ! isset($columns['estimate']) && $sum > 0];
        $columns['estimate'] ??= $sum > 0 ? $sum : null;
        if (in_array($columns['stage'] ?? null, [TaskStage::Waiting, TaskStage::Waiting->value], true)) {
            $columns['ask_on'] ??= AskAgain::on($user, $now);
        }
        $task = $user->tasks()->make([...$columns,
            'area_id' => $columns['area_id'] ?? ($projects[$columns['project_id'] ?? 0] ?? null)->area_id ?? $area,
            'title' => mb_substr($title, 0, self::TITLE),
            'note' => isset($columns['note']) ? mb_substr((string) $columns['note'], 0, self::NOTE) : (mb_strlen($title) > self::TITLE ? ($columns['typed'] ?? $title) : null),
            'said' => $columns['estimate'],
            'waiting_since' => $columns['waiting_since'] ?? (($columns['waiting_for'] ?? null) === null ? null : $user->local($now)->format('Y-m-d')),
        ]);
        $task->created_at = isset($columns['created_at']) && $columns['created_at'] < $now ? $columns['created_at'] : $now;
        $task->updated_at = $now;

        return $task->setRelation('user', $user);
    }

    /**
     * @param  list<Task>  $tasks
     * @return list<Task>
     */
    private function write(User $user, array $tasks, CarbonImmutable $now): array
    {
        $columns = array_fill_keys(array_merge(...array_map(static fn (Task $task): array => array_keys($task->getAttributes()), $tasks)), null);
        DB::table('tasks')->insert(array_map(static fn (Task $task): array => [...$columns, ...$task->getAttributes()], $tasks));
        $first = (int) DB::table('tasks')->max('id') - count($tasks) + 1; // one writer at a time, and ids count up
        foreach ($tasks as $i => $task) {
            $task->id = $first + $i;
            $task->exists = true;
            $task->wasRecentlyCreated = true;
            $task->syncOriginal();
        }
        DB::table('task_events')->insert(array_map(static fn (Task $task): array => [
            'user_id' => $user->id, 'task_id' => $task->id, 'what' => 'caught', 'facts' => json_encode(['source' => $task->source], JSON_THROW_ON_ERROR), 'at' => $now->toDateTimeString(),
        ], $tasks));

        return $tasks;
    }

    /**
     * @param  list<Task>  $tasks
     * @param  list<TaskDraft>  $drafts
     */
    private function writeParts(User $user, array $tasks, array $drafts, CarbonImmutable $now): void
    {
        $subtasks = $links = $contexts = [];
        $names = array_values(array_unique(array_map(self::context(...), array_merge(...array_map(static fn (TaskDraft $one): array => $one->contexts, $drafts)))));
        $ids = $this->contexts($user, $names);
        foreach ($drafts as $i => $draft) {
            $own = ['user_id' => $user->id, 'task_id' => $tasks[$i]->id];
            foreach ($draft->subtasks as $position => $one) {
                $subtasks[] = $own + ['title' => mb_substr($one['title'], 0, self::TITLE), 'estimate' => $one['estimate'], 'position' => $position, 'done_at' => $one['done'] ? $now->toDateTimeString() : null];
            }
            foreach ($draft->links as $one) {
                $links[] = $own + ['address' => mb_substr($one['address'], 0, self::ADDRESS), 'title' => $one['title']];
            }
            foreach (array_unique(array_map(self::context(...), $draft->contexts)) as $name) {
                $contexts[] = ['task_id' => $tasks[$i]->id, 'context_id' => $ids[$name]];
            }
        }
        foreach (['subtasks' => $subtasks, 'links' => $links, 'context_task' => $contexts] as $table => $rows) {
            foreach (array_chunk($rows, self::AT_ONCE) as $some) {
                DB::table($table)->insert($some);
            }
        }
    }

    /**
     * @param  list<string>  $names
     * @return array<string, int> ids by name; what is missing is made
     */
    private function contexts(User $user, array $names): array
    {
        if ($names === []) {
            return [];
        }
        $known = $user->contexts()->whereIn('name', $names)->pluck('id', 'name')->all();
        foreach ($names as $name) {
            $known[$name] ??= $user->contexts()->create(['name' => $name])->id;
        }

        return $known;
    }

    private static function context(string $name): string
    {
        return mb_substr($name, 0, self::CONTEXT);
    }
}
