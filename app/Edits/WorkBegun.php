<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Entry;
use App\Models\Task;
use Illuminate\Support\Facades\DB;

/** Keeps the estimate that a task had when its work began, however that was: what it took is set against that one. */
final class WorkBegun
{
    public function created(Entry $entry): void
    {
        if ($entry->task_id !== null && ! $entry->break) {
            Task::query()->withTrashed()->whereKey($entry->task_id)->whereNull('estimate_begun')->toBase()->update(['estimate_begun' => DB::raw('estimate')]);
        }
    }
}
