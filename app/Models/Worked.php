<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;

/**
 * Minutes that were worked: whole ones of each entry, breaks left out, what is going on up to now. Said once for rows
 * that are at hand and once, the same, for the database.
 */
final class Worked
{
    /**
     * @param  iterable<Entry>  $entries
     * @param  CarbonImmutable|null  $since  null: all
     */
    public static function minutes(iterable $entries, CarbonImmutable $now, ?CarbonImmutable $since = null): int
    {
        $minutes = 0;
        foreach ($entries as $entry) {
            $from = $since === null ? $entry->starts_at : max($since, $entry->starts_at);
            $minutes += $entry->break ? 0 : max(0, (int) $from->diffInMinutes($entry->ends_at ?? $now, false));
        }

        return $minutes;
    }

    /** The sum over the rows of `entries` that a query chooses. */
    public static function sum(CarbonImmutable $now, string $since = 'entries.starts_at'): string
    {
        return "coalesce(sum(max(0, (strftime('%s', coalesce(entries.ends_at, '{$now->utc()->toDateTimeString()}')) - strftime('%s', max(entries.starts_at, {$since}))) / 60)), 0)";
    }

    /** The minutes of each row of `tasks` since its `said` was said, as an expression. */
    public static function sinceSaid(CarbonImmutable $now): string
    {
        return '(select '.self::sum($now, 'coalesce(tasks.said_at, entries.starts_at)').' from entries where entries.task_id = tasks.id and entries.break = 0 and (tasks.said_at is null or entries.ends_at is null or entries.ends_at > tasks.said_at))';
    }

    /** Minutes left of each row of `tasks`, as an expression; null where nothing was said. */
    public static function left(CarbonImmutable $now): string
    {
        return 'max(0, tasks.said - '.self::sinceSaid($now).')';
    }
}
