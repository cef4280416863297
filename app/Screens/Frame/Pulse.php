<?php

declare(strict_types=1);

namespace App\Screens\Frame;

use App\Models\User;
use Illuminate\Support\Facades\DB;

/** A mark of a person's rows: it differs once anything has changed that a screen may show. */
final readonly class Pulse
{
    public static function of(User $user): string
    {
        $sums = [
            'select max(id) || coalesce(max(undone_at), 0) || coalesce(max(seen_at), 0) from plan_revisions',
            'select count(*) || coalesce(max(id), 0) || coalesce(max(ends_at), 0) || count(ends_at) from entries',
            'select count(*) || coalesce(max(updated_at), 0) || coalesce(max(deleted_at), 0) from tasks',
            'select count(*) || coalesce(max(closed_at), 0) || count(closed_at) from closed_days',
            'select count(*) || coalesce(max(updated_at), 0) from meetings',
            'select count(*) || coalesce(sum(length(text)), 0) from meeting_notes',
        ];
        $asked = implode(', ', array_map(static fn (string $sum): string => "({$sum} where user_id = {$user->id})", $sums));
        $row = (array) DB::selectOne("select {$asked}");

        return substr(sha1(implode('/', array_map(strval(...), $row)).$user->updated_at?->getTimestamp()), 0, 12);
    }
}
