<?php

declare(strict_types=1);

namespace App\Files;

use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * What was let go can be brought back for sixty days; then it is gone, and with it its files. What the past is reckoned from
 * stays, out of sight: a task that was worked on, a step of a goal, a habit's time. Else a sum of last quarter would shrink.
 */
final class Tidy
{
    public const DAYS = 60;

    private const AT_ONCE = 500;

    public function __invoke(CarbonImmutable $now): int
    {
        $over = DB::table('tasks')->where('deleted_at', '<', $now->subDays(self::DAYS)->toDateTimeString());
        $gone = (clone $over)->whereNull('habit_id')->whereNotExists(static fn (Builder $one): Builder => $one->from('entries')->whereColumn('task_id', 'tasks.id'))
            ->whereNotExists(static fn (Builder $one): Builder => $one->from('goal_steps')->whereColumn('task_id', 'tasks.id'))->limit(self::AT_ONCE)->pluck('id');
        $files = DB::table('attachments')->whereIn('task_id', $over->select('id'))->limit(self::AT_ONCE)->pluck('path', 'id');
        if ($gone->isEmpty() && $files->isEmpty()) {
            return 0;
        }
        DB::transaction(static function () use ($gone, $files): void {
            DB::table('attachments')->whereIn('id', $files->keys())->delete();
            DB::table('tasks')->whereIn('id', $gone)->delete();
        });
        Storage::delete($files->values()->diff(DB::table('attachments')->whereIn('path', $files)->pluck('path'))->all());

        return count($gone);
    }
}
