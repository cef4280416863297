<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Planning\PlanConflict;
use App\Planning\Replan;
use App\Rows\Picks;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** The few picks that make a day a success. Marking a task picks it for the day. */
final readonly class KeyTasks
{
    public function __construct(private Replan $replan, private TaskDoor $door) {}

    /** @throws PlanConflict if the day is over or has all of them already */
    public function mark(Task $task, LocalDay $day, CarbonImmutable $now): ?PlanRevision
    {
        $today = Moments::today($task->user, $now);
        $day->number >= $today->number || throw PlanConflict::passed();
        $picks = new Picks($task->user, $today);

        return ($this->replan)($task->user, $now, RevisionCause::Key, first: function () use ($task, $day, $picks, $now): void {
            $others = $picks->of($task->user->tasks()->where('key', true)->whereKeyNot($task->id)->getQuery(), $day)->pluck('title');
            if ($others->count() >= $task->user->keys_most) {
                throw PlanConflict::allKeys(array_values($others->map(static fn (string $title): string => "“{$title}”")->all()));
            }
            $this->door->change($task, ['key' => true, ...Picks::columns($task, $day)], $now);
        });
    }

    /** It stays picked. */
    public function unmark(Task $task, CarbonImmutable $now): ?PlanRevision
    {
        return ($this->replan)($task->user, $now, RevisionCause::NotKey, first: function () use ($task, $now): void {
            $this->door->change($task, ['key' => false], $now);
        });
    }
}
