<?php

declare(strict_types=1);

namespace App\Repeats;

use App\Models\Task;
use App\Rows\RowMapper;
use App\Time\Clock;
use App\Time\Zones;
use Nekto\Core\Time\LocalDay;

/** When an occurrence is done or let go, the next one comes: one at a time, so that what was missed never makes a heap. */
final class NextOccurrence
{
    public function __invoke(Task $task): ?Task
    {
        $repeat = $task->repeat()->with('user')->first();
        if ($repeat === null || $repeat->ended_at !== null || $repeat->paused_at !== null || $repeat->tasks()->whereNull('done_at')->whereKeyNot($task->id)->exists()) {
            return null;
        }
        $now = Clock::now();
        $today = RowMapper::today($repeat->user, $now);
        $last = LocalDay::fromString($task->occurs_on ?? $today->asString());
        $day = $repeat->after_done !== null ? Calendar::afterDone($repeat, $today) : Calendar::next($repeat, $last, $today);
        if ($day === null) {
            return null;
        }
        $pattern = $repeat->pattern;
        $start = $day->number > $today->number && ! isset($pattern['start_days']) ? RowMapper::moment(Zones::named($repeat->user->zone)->at($day, 0)) : null;
        $next = Pattern::make($repeat->user, ['stage' => $task->stage->value] + $pattern, $day, ['repeat_id' => $repeat->id, 'occurs_on' => $day->asString(), 'importance' => $pattern['importance'] ?? $task->importance]);
        $next->update(array_filter(['not_before' => $next->not_before ?? $start, 'due_on' => $next->due_on ?? ($next->due_at === null ? $day->asString() : null)]));

        return $next;
    }
}
