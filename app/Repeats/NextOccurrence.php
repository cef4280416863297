<?php

declare(strict_types=1);

namespace App\Repeats;

use App\Edits\NewTasks;
use App\Models\Task;
use App\Time\Clock;
use App\Time\Moments;
use App\Time\Zones;
use Nekto\Core\Time\LocalDay;

/** When an occurrence is done or let go, the next one comes: one at a time, so that what was missed never makes a heap. */
final readonly class NextOccurrence
{
    public function __construct(private NewTasks $births) {}

    /** Null if none is to come, or one is open already. */
    public function __invoke(Task $task): ?Task
    {
        $repeat = $task->repeat()->with('user')->first();
        if ($repeat === null || $repeat->ended_at !== null || $repeat->paused_at !== null || $repeat->tasks()->whereNull('done_at')->whereKeyNot($task->id)->exists()) {
            return null;
        }
        $now = Clock::now();
        $today = Moments::today($repeat->user, $now);
        $last = LocalDay::fromString($task->occurs_on ?? $today->asString());
        $day = $repeat->after_done !== null ? Calendar::afterDone($repeat, $today) : Calendar::next($repeat, $last, $today);
        if ($day === null) {
            return null;
        }
        $draft = Pattern::draft($repeat->user, ['stage' => $task->stage->value] + $repeat->pattern, $day);
        $start = $day->number > $today->number && ! isset($repeat->pattern['start_days']) ? Moments::moment(Zones::named($repeat->user->zone)->at($day, 0)) : null;

        return $this->births->one($repeat->user, $draft->with([
            'repeat_id' => $repeat->id, 'occurs_on' => $day->asString(), 'importance' => $repeat->pattern['importance'] ?? $task->importance,
            'not_before' => $draft->columns['not_before'] ?? $start,
            'due_on' => $draft->columns['due_on'] ?? ($draft->columns['due_at'] === null ? $day->asString() : null),
        ]), $now);
    }
}
