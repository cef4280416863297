<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\PlanRevision;
use App\Models\User;
use App\Rows\Blocks;
use App\Rows\Picks;
use App\Rows\WorkTimeLoader;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Time\LocalDay;

/**
 * What a change would do, without making it. The change is really made and looked at, and taken back within the same
 * transaction: so what is shown is what comes of it, whatever the change is.
 */
final readonly class Trial
{
    public function __construct(private WorkTimeLoader $times) {}

    /**
     * @param  LocalDay  $day  the one that is looked at
     * @param  \Closure(): ?PlanRevision  $change
     *
     * @throws PlanConflict as the change itself
     */
    public function of(User $user, LocalDay $day, CarbonImmutable $now, \Closure $change): Tried
    {
        DB::beginTransaction();
        try {
            $revision = $change();
            $time = $this->times->load($user, $day, 1);
            $blocks = Blocks::during($user, $time->span())->with('task.area')->get();
            $ends = $user->blocks()->whereIn('task_id', array_column($revision->moves ?? [], 'task'))->groupBy('task_id')->selectRaw('task_id, max(ends_at) as ends_at')->pluck('ends_at', 'task_id');

            $untimed = (new Picks($user, Moments::today($user, $now)))->withoutTime($day, $blocks, $now);

            return new Tried($revision, $time, $blocks, $untimed, array_map(static fn (mixed $end): int => Moments::stored((string) $end), $ends->all()));
        } finally {
            DB::rollBack();
        }
    }
}
