<?php

declare(strict_types=1);

namespace App\Undo;

use App\Models\BlockState;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Keeps what each change of the plan did to its rows, so that undo brings back exactly what was. */
final readonly class Journal
{
    /** Rows that ended longer ago than this are history: no change touches them. */
    private const HISTORY_DAYS = 3;

    /** The columns of a task that decide on its place; the others are the person's text and stay as they are. */
    private const TASK_COLUMNS = [
        'id', 'title', 'stage', 'area_id', 'project_id', 'section_id', 'hours_set_id', 'position', 'importance', 'push', 'due_on', 'due_at', 'due_hard', 'not_before', 'estimate', 'minutes_left', 'min_chunk',
        'max_chunk', 'demand', 'carried', 'done_at', 'deleted_at', 'picked_on', 'key', 'set_at', 'part', 'splits', 'waiting_for', 'waiting_since',
        'ask_on', 'return_on',
    ];

    /**
     * Runs a change and records it, in one transaction. Null if it changed nothing.
     *
     * @param  \Closure(): list<array<string, mixed>>  $change  returns the moves of the change note
     */
    public function record(User $user, RevisionCause $cause, CarbonImmutable $now, \Closure $change): ?PlanRevision
    {
        return DB::transaction(function () use ($user, $cause, $now, $change): ?PlanRevision {
            $before = $this->rows($user, $now);
            $moves = $change();
            $rows = self::changed($before, $this->rows($user, $now));
            if ($rows === []) {
                return null;
            }

            return $user->planRevisions()->create([
                'cause' => $cause,
                'moves' => $moves,
                'rows' => $rows,
                'made_at' => $now,
                'seen_at' => $cause->isAutomatic() ? null : $now,
            ]);
        });
    }

    /** Takes the newest change back that has not been taken back yet. Null if there is none. */
    public function undo(User $user, CarbonImmutable $now): ?PlanRevision
    {
        return DB::transaction(function () use ($user, $now): ?PlanRevision {
            $revision = $user->planRevisions()->whereNull('undone_at')->latest('id')->first();
            if ($revision === null) {
                return null;
            }
            foreach ($revision->rows as $table => $rows) {
                foreach ($rows as $row) {
                    $this->restore($user, $table, $row['before'], $row['after']);
                }
            }
            if ($revision->cause->isAutomatic()) {
                $this->keep($user, $revision);
            }
            $revision->update(['undone_at' => $now, 'seen_at' => $now]);

            return $revision;
        });
    }

    /**
     * @param  array<string, mixed>|null  $before
     * @param  array<string, mixed>|null  $after
     */
    private function restore(User $user, string $table, ?array $before, ?array $after): void
    {
        $id = $before['id'] ?? $after['id'] ?? null;
        $rows = $this->own($user, $table)->where('id', $id);
        if ($before === null) {
            $rows->delete();
        } elseif ($table === 'tasks' || $after !== null) {
            $rows->update($before);
        } else {
            DB::table($table)->updateOrInsert(['id' => $id], $before);
        }
    }

    private function own(User $user, string $table): Builder
    {
        return $table === 'hours_exceptions'
            ? DB::table($table)->whereIn('hours_set_id', DB::table('hours_sets')->where('user_id', $user->id)->select('id'))
            : DB::table($table)->where('user_id', $user->id);
    }

    /** What healing had moved would be moved again within a minute: the blocks that came back are left alone from now on. */
    private function keep(User $user, PlanRevision $revision): void
    {
        $ids = array_filter(array_map(static fn (array $row): mixed => $row['before']['id'] ?? null, $revision->rows['blocks'] ?? []));
        $user->blocks()->whereKey($ids)->where('state', BlockState::Planned)->update(['kept' => true]);
    }

    /** @return array<string, array<int, array<string, mixed>>> rows by table and id */
    private function rows(User $user, CarbonImmutable $now): array
    {
        $since = $now->subDays(self::HISTORY_DAYS)->toDateTimeString();
        $queries = [
            'tasks' => $this->own($user, 'tasks')
                ->where(fn ($query) => $query->whereNull('done_at')->orWhere('done_at', '>=', $since))
                ->where(fn ($query) => $query->whereNull('deleted_at')->orWhere('deleted_at', '>=', $since))->select(self::TASK_COLUMNS),
            'reserves' => $this->own($user, 'reserves')->where('ends_at', '>=', $since),
            'blocks' => $this->own($user, 'blocks')
                ->where(fn ($query) => $query->where('state', BlockState::Planned->value)->orWhere('ends_at', '>=', $since)),
            'entries' => $this->own($user, 'entries')->where('starts_at', '>=', $since),
            'meeting_notes' => $this->own($user, 'meeting_notes')->where('starts_at', '>=', $since),
            'early_ends' => $this->own($user, 'early_ends')->where('until_at', '>=', $since),
            'hours_exceptions' => $this->own($user, 'hours_exceptions')->where('date', '>=', substr($since, 0, 10)),
        ];
        $rows = [];
        foreach ($queries as $table => $query) {
            $rows[$table] = $query->get()->map(static fn (object $row): array => (array) $row)->keyBy('id')->all();
        }

        return $rows;
    }

    /**
     * @param  array<string, array<int, array<string, mixed>>>  $before
     * @param  array<string, array<int, array<string, mixed>>>  $after
     * @return array<string, list<array{before: array<string, mixed>|null, after: array<string, mixed>|null}>>
     */
    private static function changed(array $before, array $after): array
    {
        $changed = [];
        foreach ($before as $table => $rows) {
            foreach ($rows + $after[$table] as $id => $row) {
                $was = $rows[$id] ?? null;
                $is = $after[$table][$id] ?? null;
                if ($was !== $is) {
                    $changed[$table][] = ['before' => $was, 'after' => $is];
                }
            }
        }

        return $changed;
    }
}
