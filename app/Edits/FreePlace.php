<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Block;
use App\Models\Task;
use App\Models\User;
use App\Planning\PlanConflict;
use App\Rows\Blocks;
use App\Rows\RowMapper;
use App\Rows\WorkTimeLoader;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Time\Grid;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;

/** Finds the first free stretch of a day for a task that is taken from the bank by key. */
final readonly class FreePlace
{
    public function __construct(private WorkTimeLoader $times) {}

    /**
     * Null if the day has none long enough.
     *
     * @throws PlanConflict if the task cannot be planned
     */
    public function on(User $user, Task $task, LocalDay $day, CarbonImmutable $now): ?CarbonImmutable
    {
        if (! $task->isPlannable()) {
            throw PlanConflict::notPlannable();
        }
        $blocks = Blocks::during($user, $this->times->load($user, $day, 1)->span())->planned()->get();

        return $this->first($user, $task->hoursSet(), $day, max(Grid::STEP, BlockEdit::minutesToPlace($task, $now)), $now, $blocks);
    }

    /**
     * The first stretch of so many minutes in which nothing is fixed; what lies there otherwise gives way.
     *
     * @param  Collection<int, Block>  $around  blocks that stay where they are
     */
    public function first(User $user, int $set, LocalDay $day, int $minutes, CarbonImmutable $now, Collection $around): ?CarbonImmutable
    {
        $time = $this->times->load($user, $day, 1);
        $span = $time->span();
        $taken = $around->map(static fn (Block $block): Interval => RowMapper::time($block))->values()->all();
        $first = Grid::up(Moments::minute($now));
        $free = $time->open($set)->without(IntervalSet::covering(...$taken))->between(max($first, $span->start), $span->end);
        foreach ($free->intervals as $gap) {
            $start = Grid::up($gap->start);
            if ($gap->end - $start >= $minutes) {
                return Moments::moment($start);
            }
        }

        return null;
    }
}
