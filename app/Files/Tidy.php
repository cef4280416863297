<?php

declare(strict_types=1);

namespace App\Files;

use App\Models\Task;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** What was let go can be brought back for sixty days; then it is gone, and with it its files. */
final class Tidy
{
    public const DAYS = 60;

    public function __invoke(CarbonImmutable $now): int
    {
        $gone = Task::onlyTrashed()->where('deleted_at', '<', $now->subDays(self::DAYS))->limit(500)->get(['id', 'deleted_at']);
        if ($gone->isEmpty()) {
            return 0;
        }
        $paths = DB::table('attachments')->whereIn('task_id', $gone->modelKeys())->pluck('path');
        DB::transaction(static fn () => DB::table('tasks')->whereIn('id', $gone->modelKeys())->delete());
        $kept = DB::table('attachments')->whereIn('path', $paths)->pluck('path');
        Storage::delete($paths->diff($kept)->all());

        return count($gone);
    }
}
