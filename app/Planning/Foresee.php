<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use App\Rows\Blocks;
use App\Rows\WorkTime;
use App\Rows\WorkTimeLoader;
use App\Time\Moments;
use App\Undo\Journal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Day\DayLoad;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;

/**
 * What a change of the rules would do to open time and plan, without making it: as in a Trial it is really made and taken
 * back within the same transaction; what follows for the plan is reckoned after that, from the rows as they were in between.
 */
final readonly class Foresee
{
    /** Days that are looked at. */
    private const DAYS = 14;

    public function __construct(private WorkTimeLoader $times, private Replan $replan, private Journal $journal) {}

    /**
     * @param  \Closure(): void  $change  of rows
     * @param  LocalDay|null  $from  the first day it is about; null: today
     */
    public function of(User $user, CarbonImmutable $now, \Closure $change, ?LocalDay $from = null): Foreseen
    {
        $today = Moments::today($user, $now);
        $from = $from !== null && $from->number > $today->number ? $from : $today;
        $before = $this->times->load(User::query()->findOrFail($user->id), $from, self::DAYS);
        $was = self::anchored($before);
        $late = Prospects::late($user);
        $rows = null;
        DB::beginTransaction();
        try {
            $revision = $this->journal->record($user, RevisionCause::Changed, $now, $change);
            $after = $this->times->load(User::query()->findOrFail($user->id), $from, self::DAYS);
            $is = self::anchored($after);
            $rows = $revision === null ? null : $this->replan->rowsAfter($user, $now);
        } finally {
            DB::rollBack();
            $user->refresh(); // what was tried is not what is
        }
        if ($revision !== null && $rows !== null) { // planned when the database is everybody's again
            $changed = $this->replan->foreseen($rows, $late);
            $revision->setAttribute('moves', $changed->moves)->setAttribute('late', $changed->late);
        }

        return self::first($revision, $before, $was, $after, $is);
    }

    /** The first day that has other open time, or another line; of the set that changes most on it. */
    private static function first(?PlanRevision $revision, WorkTime $before, IntervalSet $was, WorkTime $after, IntervalSet $is): Foreseen
    {
        $sets = $after->sets->pluck('name', 'id')->all() + $before->sets->pluck('name', 'id')->all();
        for ($i = 0; $i < self::DAYS; $i++) {
            $day = $before->first->plusDays($i);
            $most = null;
            foreach ($sets as $id => $name) {
                $old = self::load($before, (int) $id, $day, $was);
                $new = self::load($after, (int) $id, $day, $is);
                $weight = 1000 * abs($old->open - $new->open) + abs($old->loadLine - $new->loadLine);
                if ($weight > ($most[0] ?? 0)) {
                    $most = [$weight, $name, $old, $new, (int) $id];
                }
            }
            if ($most !== null) {
                return new Foreseen($revision, $day, $most[1], $most[2], $most[3], self::week($before, $most[4], $day, $was), self::week($after, $most[4], $day, $is));
            }
        }

        return new Foreseen($revision);
    }

    private static function load(WorkTime $time, int $set, LocalDay $day, IntervalSet $anchored): DayLoad
    {
        return $time->sets->contains('id', $set) ? $time->load($set, $day, $anchored) : DayLoad::of(IntervalSet::empty(), IntervalSet::empty(), IntervalSet::empty(), IntervalSet::empty(), 0);
    }

    private static function week(WorkTime $time, int $set, LocalDay $from, IntervalSet $anchored): int
    {
        $open = 0;
        for ($i = 0; $i < 7 && $time->covers($from->plusDays($i)); $i++) {
            $open += self::load($time, $set, $from->plusDays($i), $anchored)->open;
        }

        return $open;
    }

    /** Blocks that the person has fixed at their time: what a day carries is counted without them. */
    private static function anchored(WorkTime $time): IntervalSet
    {
        return Blocks::anchored(Blocks::during($time->user, $time->span())->where('anchored', true)->get());
    }
}
