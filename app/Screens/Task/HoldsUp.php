<?php

declare(strict_types=1);

namespace App\Screens\Task;

use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Planning\Prospects;
use App\Rows\Desk;
use App\Rows\Steps;
use App\Wording\Times;
use Carbon\CarbonImmutable;

/** What a task waits for, and what waits for the task. */
final readonly class HoldsUp
{
    public function __construct(private Desk $desk, private Prospects $prospects) {}

    /** @return list<array{title: string, link: string|null, what: string, then: string|null}> */
    public function of(User $user, Task $task, Steps $steps, CarbonImmutable $now): array
    {
        if ($task->done_at !== null) {
            return [];
        }
        $holds = [];
        if ($task->waiting_for !== null) {
            $holds[] = ['title' => $task->waiting_for, 'link' => null, 'then' => 'answered', 'what' => implode(', ', array_filter([
                $task->waiting_since === null ? '' : __('task.asked_since', ['day' => $this->day($user, $task->waiting_since)]),
                $task->ask_on === null ? '' : __('task.ask_again', ['day' => $this->day($user, $task->ask_on)]),
            ]))];
        }
        $before = isset($steps->before[$task->id]) ? $user->tasks()->find($steps->before[$task->id]) : null;
        if ($before !== null) {
            $holds[] = ['title' => $before->title, 'link' => "/tasks/{$before->id}", 'then' => null, 'what' => __('task.step_before')];
        }
        if ($task->not_before !== null && $task->not_before > $now) {
            $holds[] = ['title' => __('task.starts_later'), 'link' => null, 'then' => null, 'what' => Times::when($user, $task->not_before, $now)];
        }
        if ($task->stage === TaskStage::Open && $task->importance === null) {
            $holds[] = ['title' => __('task.unweighed'), 'link' => '/weigh', 'then' => null, 'what' => __('task.unweighed_why')];
        } elseif ($task->stage === TaskStage::Open && $task->estimate === null) {
            $holds[] = ['title' => __('task.unestimated'), 'link' => null, 'then' => null, 'what' => __('task.unestimated_why')];
        }
        $late = $this->prospects->slacks($user, $now)->late[$task->id] ?? null;
        if ($late !== null) {
            $holds[] = ['title' => __('task.no_time'), 'link' => '/shape?change=ways', 'then' => null, 'what' => __('task.late_by', ['minutes' => Times::lateness($late)])];
        }

        return $holds;
    }

    /** @return list<array{id: int, title: string, what: string}> the next step of its project, and what that holds up */
    public function waiting(User $user, Task $task, Steps $steps, CarbonImmutable $now): array
    {
        $after = array_search($task->id, $steps->before, true);
        $next = $after === false || $task->done_at !== null ? null : $user->tasks()->find($after);
        if ($next === null) {
            return [];
        }
        $block = $user->blocks()->planned()->where('task_id', $next->id)->where('ends_at', '>', $now)->orderBy('starts_at')->first();

        return [['id' => $next->id, 'title' => $next->title, 'what' => __('task.next_step', ['when' => $block === null ? __('task.no_place') : Times::when($user, $block->starts_at, $now)])]];
    }

    private function day(User $user, string $day): string
    {
        return Times::day($user, CarbonImmutable::parse("{$day} 12:00", $user->zone), $this->desk->now);
    }
}
