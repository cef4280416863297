<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Edits\ProjectNames;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\TaskEvent;
use App\Models\User;
use App\Repeats\StartRepeat;
use App\Undo\Journal;
use Carbon\CarbonImmutable;

/** Takes what a file held into the inbox, once: what was taken before is left as it is. */
final readonly class TakeDrafts
{
    /** SQLite takes so many values in one statement and a few more. */
    private const AT_ONCE = 300;

    public function __construct(private Journal $journal) {}

    /**
     * @param  list<Draft>  $drafts
     * @return array{int, int, PlanRevision|null} taken, known before, and the change
     */
    public function __invoke(User $user, array $drafts, string $source, CarbonImmutable $now): array
    {
        $known = self::known($user, $drafts);
        $new = array_values(array_filter($drafts, static fn (Draft $draft): bool => ! isset($known[$draft->key])));
        $projects = new ProjectNames($user);
        $areaId = $user->areas()->firstOrFail()->id;
        $revision = $this->journal->record($user, RevisionCause::Imported, $now, function () use ($user, $new, $source, $now, $projects, $areaId): array {
            foreach (array_chunk($new, self::AT_ONCE) as $some) {
                $this->takeSome($user, $some, $source, $now, $projects, $areaId);
            }

            return [];
        });

        return [count($new), count($drafts) - count($new), $revision];
    }

    /**
     * @param  list<Draft>  $drafts
     * @return array<string, true> by key: taken before, also if let go since
     */
    public static function known(User $user, array $drafts): array
    {
        $known = [];
        foreach (array_chunk(array_map(static fn (Draft $draft): string => $draft->key, $drafts), 500) as $keys) {
            $known += array_fill_keys($user->tasks()->withTrashed()->whereIn('origin', $keys)->pluck('origin')->all(), true);
        }

        return $known;
    }

    /**
     * Rows are written many at a time: a list of ten thousand is taken within seconds.
     *
     * @param  non-empty-list<Draft>  $drafts
     */
    private function takeSome(User $user, array $drafts, string $source, CarbonImmutable $now, ProjectNames $projects, int $areaId): void
    {
        $rows = array_map(fn (Draft $draft): array => $this->row($user, $draft, $source, $now, $projects, $areaId)->getAttributes(), $drafts);
        Task::query()->insert($rows);
        $tasks = $user->tasks()->whereIn('origin', array_column($rows, 'origin'))->get()->keyBy('origin');
        TaskEvent::query()->insert($tasks->map(static fn (Task $task): array => ['user_id' => $user->id, 'task_id' => $task->id, 'what' => 'caught', 'facts' => json_encode(['source' => $source]), 'at' => $now->toDateTimeString()])->values()->all());
        foreach ($drafts as $draft) {
            $task = $tasks[$draft->key] ?? null;
            $task === null || $this->addParts($user, $task->setRelation('user', $user), $draft, $now);
        }
    }

    private function row(User $user, Draft $draft, string $source, CarbonImmutable $now, ProjectNames $projects, int $areaId): Task
    {
        $name = ProjectNames::words((string) $draft->project);
        $project = $name === '' ? null : $projects->of($name);
        $sum = array_sum(array_map(static fn (array $one): int => (int) $one['estimate'], $draft->subtasks));
        $minutes = $draft->minutes ?? ($sum > 0 ? $sum : null);
        $task = $user->tasks()->make([
            'area_id' => $project->area_id ?? $areaId,
            'project_id' => $project?->id,
            'title' => $draft->title,
            'note' => $draft->note === null ? null : mb_substr($draft->note, 0, 20_000),
            'source' => $source,
            'origin' => $draft->key,
            'importance' => $draft->importance,
            'due_on' => $draft->due,
            'due_at' => $draft->dueAt,
            'not_before' => $draft->start,
            'estimate' => $minutes,
            'minutes_left' => $draft->done ? 0 : $minutes,
            'waiting_for' => $draft->waitingFor,
            'waiting_since' => $draft->waitingFor === null ? null : $user->local($now)->format('Y-m-d'),
            'done_at' => $draft->done ? $now : null,
        ]);
        $task->created_at = $draft->caughtAt !== null && $draft->caughtAt < $now ? $draft->caughtAt : $now;
        $task->updated_at = $now;

        return $task;
    }

    private function addParts(User $user, Task $task, Draft $draft, CarbonImmutable $now): void
    {
        foreach ($draft->subtasks as $i => $one) {
            $task->subtasks()->create(['user_id' => $user->id, 'title' => mb_substr($one['title'], 0, 200), 'estimate' => $one['estimate'], 'done_at' => $one['done'] ? $now : null, 'position' => $i]);
        }
        foreach (array_unique($draft->contexts) as $name) {
            $task->contexts()->syncWithoutDetaching([$user->contexts()->firstOrCreate(['name' => mb_substr($name, 0, 100)])->id]);
        }
        if ($draft->link !== null) {
            $task->links()->create(['user_id' => $user->id, 'address' => mb_substr($draft->link, 0, 2000)]);
        }
        if ($draft->rule !== null && ! $draft->done) {
            (new StartRepeat)($task, $draft->rule, null, $now);
        }
    }
}
