<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\EstimateUse;
use App\Models\Task;
use App\Models\User;
use App\Rows\PastRatios;
use Nekto\Core\Estimate\Correction;
use Nekto\Core\Time\Grid;

/**
 * What the plan expects a task to take in all, where the person wants it to use the likely or the careful value: written
 * beside what was said whenever the plan is made, so that every figure is of the same minutes as the plan. What somebody
 * said to be left is taken as said.
 */
final readonly class Expected
{
    public function __construct(private PastRatios $past) {}

    public function refresh(User $user): void
    {
        if ($user->estimates === EstimateUse::Typed) {
            $user->tasks()->whereNull('done_at')->whereNotNull('expected')->toBase()->update(['expected' => null]);

            return;
        }
        $pairs = $this->past->pairs($user);
        foreach ($user->tasks()->plannable()->get(['id', 'user_id', 'area_id', 'demand', 'said', 'said_at', 'expected']) as $task) {
            $expected = $task->said_at === null && $task->said !== null ? self::of($user->estimates, Correction::of($pairs, (string) $task->area_id, $task->demand, $task->said), $task->said) : null;
            self::steps($expected) === self::steps($task->expected) || Task::query()->whereKey($task->id)->toBase()->update(['expected' => $expected]);
        }
    }

    /**
     * Minutes that another use would add to open work whose estimate was typed and never corrected by hand.
     *
     * @param  list<int>  $tasks  by id
     */
    public function wouldAdd(User $user, EstimateUse $use, array $tasks): int
    {
        $pairs = $this->past->pairs($user);
        $more = 0;
        foreach ($user->tasks()->plannable()->whereKey($tasks)->whereNull('said_at')->where('said', '>', 0)->get(['id', 'user_id', 'area_id', 'demand', 'said', 'expected']) as $task) {
            $more += (self::of($use, Correction::of($pairs, (string) $task->area_id, $task->demand, (int) $task->said), (int) $task->said) ?? (int) $task->said) - ($task->expected ?? (int) $task->said);
        }

        return $more;
    }

    /** What is less than a step of the grid is no reason to lay anything elsewhere. */
    private static function steps(?int $minutes): ?int
    {
        return $minutes === null ? null : Grid::up($minutes);
    }

    /** Null where there is too little history, or it says the same. */
    private static function of(EstimateUse $use, Correction $correction, int $said): ?int
    {
        $minutes = $use === EstimateUse::Careful ? $correction->carefully($said) : $correction->likely($said);

        return $correction->isReliable() && $minutes !== $said ? $minutes : null;
    }
}
