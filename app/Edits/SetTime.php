<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\RefusedTime;
use App\Models\Task;
use App\Planning\FixedTime;
use App\Rows\RowMapper;
use App\Time\Zones;
use Carbon\CarbonImmutable;

/** A set time becomes an anchored block as soon as its task can be planned, however the task was made or changed. */
final readonly class SetTime
{
    /** Changes of these may make a task one that can be planned, or its time or length another. */
    private const ASKED_BY = ['set_at', 'importance', 'stage', 'estimate', 'said', 'done_at', 'area_id', 'hours_set_id'];

    public function __construct(private FreePlace $places) {}

    /** Null where the time is its own now, or the task has none to come. */
    public function follow(Task $task, CarbonImmutable $now): ?RefusedTime
    {
        if ($task->set_at === null || $task->set_at <= $now || ! $task->isPlannable() || ! $this->isAsked($task)) {
            return null;
        }
        $end = $task->set_at->addMinutes($task->minutesToPlan($now));
        $own = array_values($task->blocks()->pluck('id')->all());
        $by = FixedTime::owner($task->user, $task->set_at, $end, $now, $own)
            ?? $task->user->occurrences()->interrupting()->where('starts_at', '<', $end)->where('ends_at', '>', $task->set_at)->orderBy('starts_at')->first(); // who wants to be at two things puts the block there by hand
        if ($by !== null) {
            $day = Zones::named($task->user->zone)->dayOf(RowMapper::end($by));
            $around = $task->user->blocks()->fixed($now)->whereKeyNot($own)->get();

            return new RefusedTime($task, $task->set_at, $by, $this->places->first($task->user, $task->hoursSet(), $day, (int) $task->set_at->diffInMinutes($end), max($now, $by->ends_at), $around));
        }
        $task->blocks()->planned()->where('anchored', true)->where('ends_at', '>', $now)->delete();
        $block = $task->blocks()->make(['starts_at' => $task->set_at, 'ends_at' => $end, 'anchored' => true]);
        $block->user_id = $task->user_id;
        $block->save();

        return null;
    }

    private function isAsked(Task $task): bool
    {
        return $task->wasRecentlyCreated || $task->wasChanged(self::ASKED_BY);
    }
}
