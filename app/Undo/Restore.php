<?php

declare(strict_types=1);

namespace App\Undo;

use App\Models\User;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Brings changed columns back. A column that was changed once more since is left alone, and so is what would
 * refer to something that is gone, take somebody's minutes along, or let two clocks run.
 */
final class Restore
{
    /** @var array<string, array<int, true>> */
    private array $restored = [];

    /** @var array<string, true> by name */
    private array $left = [];

    public function __construct(private readonly User $user, private readonly Log $log) {}

    /** @param  array<string, list<array{id: int, before: array<string, mixed>|null, after: array<string, mixed>|null}>>  $rows  as a revision keeps them */
    public function __invoke(array $rows): void
    {
        $order = array_keys(Guarded::TABLES);
        foreach ($order as $table) { // what others refer to comes back first
            foreach ($rows[$table] ?? [] as $row) {
                if ($row['before'] !== null) {
                    $row['after'] === null ? $this->bringBack($table, $row['id'], $row['before']) : $this->set($table, $row['id'], $row['before'], $row['after']);
                }
            }
        }
        foreach (array_reverse($order) as $table) { // and goes last
            foreach ($rows[$table] ?? [] as $row) {
                if ($row['before'] === null && $row['after'] !== null) {
                    $this->takeAway($table, $row['id'], $row['after']);
                }
            }
        }
    }

    /** @return list<int> ids of the rows of a table that were brought back or set back */
    public function restored(string $table): array
    {
        return array_keys($this->restored[$table] ?? []);
    }

    /** @return array<string, list<int>> the same of all tables */
    public function all(): array
    {
        return array_map(array_keys(...), $this->restored);
    }

    /** @return list<string> names of what was left alone */
    public function leftAlone(): array
    {
        return array_map(strval(...), array_keys($this->left));
    }

    /**
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     */
    private function set(string $table, int $id, array $before, array $after): void
    {
        $now = $this->log->now($table, [$id])[$id] ?? null;
        if ($now === null) {
            return; // it is gone altogether, and with it what there was to set back
        }
        $columns = [];
        foreach ($before as $column => $value) {
            if (! array_key_exists($column, $now) || self::isSame($now[$column], $value)) {
                continue;
            }
            (self::isSame($now[$column], $after[$column]) || in_array($column, Guarded::MARKS, true)) && $this->isThere($column, $value) ? $columns[$column] = $value : $this->leave($table, $id);
        }
        if ($table === 'entries' && array_key_exists('ends_at', $columns) && $columns['ends_at'] === null && $this->runsAnother($id)) {
            unset($columns['ends_at']);
            $this->leave($table, $id);
        }
        if ($columns !== []) {
            $this->own($table)->where('id', $id)->update($columns);
            $this->restored[$table][$id] = true;
        }
    }

    /** @param  array<string, mixed>  $row */
    private function bringBack(string $table, int $id, array $row): void
    {
        $isRunning = $table === 'entries' && $row['ends_at'] === null;
        foreach ($row as $column => $value) {
            if (! $this->isThere($column, $value)) {
                return; // what it belonged to is gone
            }
        }
        if (! DB::table($table)->where('id', $id)->exists() && ! ($isRunning && $this->runsAnother($id))) {
            if (DB::table($table)->insertOrIgnore($this->log->known($table, $row)) === 1) {
                $this->restored[$table][$id] = true;
            } else {
                $this->left[(string) ($row['title'] ?? $row['name'] ?? $row['summary'] ?? $row['date'] ?? '…')] = true; // another has its name or its day by now
            }
        }
    }

    /** @param  array<string, mixed>  $after */
    private function takeAway(string $table, int $id, array $after): void
    {
        $now = $this->log->now($table, [$id])[$id] ?? null;
        if ($now === null) {
            return;
        }
        array_udiff_assoc(array_diff_key(array_intersect_key($now, $after), array_flip(Guarded::MARKS)), $after, static fn (mixed $a, mixed $b): int => self::isSame($a, $b) ? 0 : 1) === [] && ! $this->holdsMinutes($table, $id)
            ? $this->own($table)->where('id', $id)->delete()
            : $this->leave($table, $id);
    }

    private function isThere(string $column, mixed $value): bool
    {
        $table = Guarded::REFERENCES[$column] ?? null;

        return $table === null || $value === null
            || DB::table($table)->where('id', $value)->when(in_array($table, Guarded::LET_GO, true) && $column !== 'task_id', static fn (Builder $rows): Builder => $rows->whereNull('deleted_at'))->exists();
    }

    private function runsAnother(int $entry): bool
    {
        return DB::table('entries')->where('user_id', $this->user->id)->whereNull('ends_at')->where('id', '!=', $entry)->exists();
    }

    /** Minutes that were worked are never taken away by undoing how their task came. */
    private function holdsMinutes(string $table, int $id): bool
    {
        return $table === 'tasks' && DB::table('entries')->where('task_id', $id)->exists();
    }

    private function own(string $table): Builder
    {
        return match ($table) {
            'users' => DB::table($table)->where('id', $this->user->id),
            'hours_exceptions' => DB::table($table)->whereIn('hours_set_id', DB::table('hours_sets')->where('user_id', $this->user->id)->select('id')),
            default => DB::table($table)->where('user_id', $this->user->id),
        };
    }

    /** A number is the same whether it was written as 6 or as 6.0. */
    private static function isSame(mixed $a, mixed $b): bool
    {
        return $a === $b || (is_float($a) && is_int($b) && $a === (float) $b) || (is_int($a) && is_float($b) && (float) $a === $b);
    }

    private function leave(string $table, int $id): void
    {
        $row = $this->own($table)->where('id', $id)->first();
        $task = isset($row->task_id) ? DB::table('tasks')->where('id', $row->task_id)->value('title') : null;
        $this->left[(string) ($task ?? $row->title ?? $row->name ?? $row->summary ?? $row->date ?? '…')] = true;
    }
}
