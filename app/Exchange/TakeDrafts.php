<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Edits\NewTasks;
use App\Edits\ProjectNames;
use App\Edits\TaskDraft;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use App\Repeats\StartRepeat;
use App\Undo\Journal;
use Carbon\CarbonImmutable;

/** Takes what a file held into the inbox, once: what was taken before is left as it is. */
final readonly class TakeDrafts
{
    public function __construct(private Journal $journal, private NewTasks $births, private StartRepeat $repeats) {}

    /**
     * @param  list<Draft>  $drafts
     * @return array{int, int, PlanRevision|null} taken, known before, and the change
     */
    public function __invoke(User $user, array $drafts, string $source, CarbonImmutable $now): array
    {
        $known = self::known($user, $drafts);
        $new = array_values(array_filter($drafts, static fn (Draft $draft): bool => ! isset($known[$draft->key])));
        $revision = $this->journal->record($user, RevisionCause::Imported, $now, function () use ($user, $new, $source, $now): void {
            $own = array_values(array_filter($new, static fn (Draft $draft): bool => $draft->own !== null));
            if ($own !== []) {
                (new TakeOwn($user, $this->births))($own, $now);

                return;
            }
            $projects = new ProjectNames($user);
            $areas = $user->areas()->pluck('id', 'name')->all();
            $tasks = $this->births->all($user, array_map(static fn (Draft $draft): TaskDraft => self::born($draft, $projects, $areas, $source, $now), $new), $now);
            foreach ($new as $i => $draft) {
                ($draft->rule === null && $draft->afterDone === null) || $draft->done || ($this->repeats)($tasks[$i], $draft->rule, $draft->rule === null ? $draft->afterDone : null, $now);
            }
        });

        $isTask = static fn (Draft $draft): bool => $draft->isTask();

        return [count(array_filter($new, $isTask)), count(array_filter($drafts, $isTask)) - count(array_filter($new, $isTask)), $revision];
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

        foreach (array_chunk(TaskKey::own($user, array_map(static fn (Draft $draft): string => $draft->key, $drafts)), 500, true) as $own) { // the account's own, read back
            $known += array_fill_keys(array_keys(array_intersect($own, $user->tasks()->withTrashed()->whereKey(array_values($own))->pluck('id')->all())), true);
        }

        return $known;
    }

    /** @param  array<string, int>  $areas  ids by name */
    private static function born(Draft $draft, ProjectNames $projects, array $areas, string $source, CarbonImmutable $now): TaskDraft
    {
        $project = ProjectNames::words((string) $draft->project);

        return new TaskDraft(
            [
                'project_id' => $project === '' ? null : $projects->of($project)->id,
                ...($draft->area === null || ! isset($areas[$draft->area]) ? [] : ['area_id' => $areas[$draft->area]]),
                ...($draft->stage === null ? [] : ['stage' => $draft->stage->value]),
                ...($draft->demand === null ? [] : ['demand' => $draft->demand->value]),
                'title' => $draft->title,
                'note' => $draft->note,
                'source' => $source,
                'origin' => $draft->key,
                'importance' => $draft->importance,
                'due_on' => $draft->due,
                'due_at' => $draft->dueAt,
                'not_before' => $draft->start,
                'estimate' => $draft->minutes,
                'waiting_for' => $draft->waitingFor,
                'done_at' => $draft->done ? $now : null,
                'created_at' => $draft->caughtAt,
            ],
            $draft->subtasks,
            $draft->contexts,
            array_map(static fn (string $address): array => ['address' => $address, 'title' => null], array_values(array_unique(array_filter([$draft->link, ...$draft->links])))),
        );
    }
}
