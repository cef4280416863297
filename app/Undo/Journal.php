<?php

declare(strict_types=1);

namespace App\Undo;

use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;

/** Keeps what each change did to its rows, column by column, so that undo brings back just that. */
final class Journal
{
    private ?Log $log = null;

    public function __construct(private readonly Once $once) {}

    /**
     * Runs a change and records it, in one transaction. Null if it changed nothing that can be undone, or if it is part
     * of a change that is being recorded already.
     *
     * @param  \Closure(): mixed  $change  may return what it did to the plan
     */
    public function record(User $user, RevisionCause $cause, CarbonImmutable $now, \Closure $change): ?PlanRevision
    {
        try {
            return DB::transaction(fn (): ?PlanRevision => $this->recorded($user, $cause, $now, $change));
        } catch (\Throwable $error) {
            $this->once->release();
            throw $error;
        }
    }

    /** @param  \Closure(): mixed  $change */
    private function recorded(User $user, RevisionCause $cause, CarbonImmutable $now, \Closure $change): ?PlanRevision
    {
        $this->once->claim();
        $log = $this->log();
        if ($log->isOn()) {
            $change();

            return null;
        }
        $log->begin();
        $changed = $change();
        $log->end();
        $rows = self::changes($log);

        return $rows === [] ? null : $user->planRevisions()->create([
            'cause' => $cause,
            'moves' => $changed instanceof Changed ? $changed->moves : [],
            'late' => $changed instanceof Changed ? $changed->late : [],
            'rows' => $rows,
            'made_at' => $now,
            'seen_at' => $cause->isAutomatic() ? null : $now,
        ]);
    }

    /**
     * Takes a change back that has not been taken back yet: the one that is named, or the newest. Null if there is none.
     *
     * @param  int|null  $id  of the revision that was offered; null: the newest
     */
    public function undo(User $user, ?int $id, CarbonImmutable $now): ?Undone
    {
        return DB::transaction(function () use ($user, $id, $now): ?Undone {
            $open = $user->planRevisions()->whereNull('undone_at');
            $revision = $id === null ? $open->latest('id')->first() : $open->find($id);
            if ($revision === null) {
                return null;
            }
            $this->once->claim();
            $restore = new Restore($user, $this->log());
            $this->log()->begin();
            $restore($revision->rows);
            if ($revision->cause->isAutomatic()) { // what mending had moved would be moved again within a minute
                $user->blocks()->planned()->whereKey($restore->restored('blocks'))->update(['put_back' => true]);
            }
            $this->log()->end();
            Event::dispatch(new Restored($user, $restore->all(), $now));
            $revision->update(['undone_at' => $now, 'seen_at' => $now, 'redo' => self::changes($this->log())]);

            return new Undone($revision, $restore->leftAlone(), $user->planRevisions()->whereNull('undone_at')->where('id', '>', $revision->id)->doesntExist());
        });
    }

    /**
     * Takes an undo back: the one of the named change, or the last one, if the person has changed nothing since. Null if
     * there is none.
     *
     * @param  int|null  $id  of the revision that was undone; null: the one that was undone last
     */
    public function redo(User $user, ?int $id, CarbonImmutable $now): ?Undone
    {
        return DB::transaction(function () use ($user, $id, $now): ?Undone {
            $revision = $id === null ? PlanRevision::redoable($user)->oldest('id')->first() : $user->planRevisions()->whereNotNull('undone_at')->whereNotNull('redo')->find($id);
            if ($revision === null) {
                return null;
            }
            $this->once->claim();
            $since = $user->planRevisions()->whereNull('undone_at')->where('id', '>', $revision->id)->exists();
            $restore = new Restore($user, $this->log());
            $restore($revision->redo ?? []);
            Event::dispatch(new Restored($user, $restore->all(), $now));
            $revision->update(['undone_at' => null, 'redo' => null]);

            return new Undone($revision, $restore->leftAlone(), ! $since);
        });
    }

    /** @return array<string, list<array{id: int, before: array<string, mixed>|null, after: array<string, mixed>|null}>> by table */
    private static function changes(Log $log): array
    {
        $changes = [];
        foreach ($log->before() as $table => $rows) {
            $now = $log->now($table, array_keys($rows));
            foreach ($rows as $id => $was) {
                $is = $now[$id] ?? null;
                if ($was !== null && $is !== null) {
                    $was = array_filter(array_intersect_key($was, $is), static fn (mixed $value, string $column): bool => $value !== $is[$column], ARRAY_FILTER_USE_BOTH);
                    $is = array_intersect_key($is, $was);
                }
                if ($was !== $is) {
                    $changes[$table][] = ['id' => $id, 'before' => $was, 'after' => $is];
                }
            }
        }

        return $changes;
    }

    private function log(): Log
    {
        return $this->log ??= new Log(DB::connection());
    }
}
