<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\Task;
use App\Models\User;
use App\Models\Worked;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Estimate\Pair;
use Nekto\Core\Estimate\Remaining;
use Nekto\Core\Task\Demand;

/** What finished work was estimated to take when it began, and what it took. */
final readonly class PastRatios
{
    /** Older work says less about the present. */
    private const NEWEST = 400;

    /** @return list<Pair> */
    public function pairs(User $user): array
    {
        return array_column($this->dated($user), 0);
    }

    /** @return list<array{Pair, string}> the newest first, with when it was done, in UTC */
    public function dated(User $user): array
    {
        $newest = DB::table('tasks')->where('user_id', $user->id)->whereNotNull('done_at')->whereNull('deleted_at')->whereRaw('coalesce(estimate_begun, estimate) > 0')
            ->whereExists(static fn (Builder $entries): Builder => $entries->from('entries')->whereColumn('entries.task_id', 'tasks.id')->where('break', false)->whereNotNull('ends_at'))
            ->orderByDesc('done_at')->limit(self::NEWEST)->select(['id', 'area_id', 'demand', 'done_at', 'estimate_begun', 'estimate']); // before minutes are summed: history is long

        return array_values(DB::query()->fromSub($newest, 'tasks')->join('entries', 'entries.task_id', 'tasks.id')->whereNotNull('entries.ends_at')->where('entries.break', false)
            ->groupBy('tasks.id', 'area_id', 'demand')->orderByDesc('tasks.done_at')
            ->get(['area_id', 'demand', 'tasks.done_at', DB::raw('coalesce(estimate_begun, estimate) as estimate'), DB::raw(Worked::sum(Clock::now()).' as actual')])
            ->filter(static fn (\stdClass $row): bool => (int) $row->actual > 0)
            ->map(static fn (\stdClass $row): array => [new Pair((string) $row->area_id, Demand::from($row->demand), (int) $row->estimate, (int) $row->actual), (string) $row->done_at])->all());
    }

    /**
     * What may remain of a task that is past its estimate; null where it is not.
     *
     * @param  list<Pair>|null  $pairs  of the person, where they have been read already
     */
    public function remaining(User $user, Task $task, CarbonImmutable $now, ?array $pairs = null): ?Remaining
    {
        $left = $task->done_at === null ? $task->left($now) : null;
        if ($left === null || ! $left->isPast() || $left->worked === 0) {
            return null;
        }
        $worked = (int) $user->entries()->where('task_id', $task->id)->where('break', false)->selectRaw(Worked::sum($now).' as minutes')->value('minutes');

        return Remaining::guess($pairs ?? $this->pairs($user), (string) $task->area_id, $task->demand, $left->said + $worked - $left->worked, $worked);
    }
}
