<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Task;
use App\Models\User;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;

/** Finds the first free stretch of a day for a task that is taken from the bank by key. */
final readonly class FreePlace
{
    public function __construct(private WorkTimeLoader $times) {}

    /** @throws PlanConflict if the day has none long enough, or the task cannot be planned */
    public function on(User $user, Task $task, LocalDay $day, CarbonImmutable $now): CarbonImmutable
    {
        if (! $task->hasWorkToPlan()) {
            throw PlanConflict::notPlannable();
        }
        $time = $this->times->load($user, $day, 1);
        $span = $time->span();
        $taken = Blocks::during($user, $span)->where('state', BlockState::Planned)->get()
            ->map(static fn (Block $block): Interval => RowMapper::time($block))->all();
        $step = (int) config('nekto.step');
        $first = intdiv(RowMapper::minute($now) + $step - 1, $step) * $step;
        $free = $time->open($task->hoursSet())->without(IntervalSet::covering(...$taken))->between(max($first, $span->start), $span->end);
        $needed = min((int) $task->minutes_left, $task->max_chunk);
        foreach ($free->intervals as $gap) {
            $start = intdiv($gap->start + $step - 1, $step) * $step;
            if ($gap->end - $start >= $needed) {
                return RowMapper::moment($start);
            }
        }
        throw PlanConflict::noTime($task->title);
    }
}
