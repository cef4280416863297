<?php

declare(strict_types=1);

namespace App\Undo;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * Changes of the plan older than a setting: nobody takes them back, and their rows would be two thirds of a year's database.
 * What was said of them stays with the tasks' own history.
 */
final class Thin
{
    /** So many a minute, that no minute is long. */
    private const AT_ONCE = 500;

    public static function some(CarbonImmutable $now): int
    {
        $old = DB::table('plan_revisions')->where('made_at', '<', $now->subDays((int) config('nekto.revision_days')))->orderBy('id')->limit(self::AT_ONCE)->pluck('id');

        return $old->isEmpty() ? 0 : DB::table('plan_revisions')->whereIn('id', $old)->delete();
    }
}
