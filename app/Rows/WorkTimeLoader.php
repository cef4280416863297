<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\EarlyEnd;
use App\Models\User;
use App\Time\Moments;
use App\Time\Zones;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\LocalDay;

/** Reads a person's hours and meetings over some days, in five queries. */
final readonly class WorkTimeLoader
{
    public function load(User $user, LocalDay $first, int $days): WorkTime
    {
        $zone = Zones::named($user->zone);
        $from = Moments::moment($zone->at($first, 0))->subHours(12); // for buffers that reach in
        $until = Moments::moment($zone->at($first->plusDays($days), 0))->addHours(12);

        return new WorkTime(
            $user,
            $first,
            $days,
            $user->hoursSets()->with('exceptions')->get(),
            $user->occurrences()->with('meeting:id,lead_minutes,ignored')
                ->where('starts_at', '<', $until)->where('ends_at', '>', $from)->orderBy('starts_at')->orderBy('id')->get(),
            array_values($user->reserves()->where('starts_at', '<', $until)->where('ends_at', '>', $from)->get()->all()),
            array_values($user->earlyEnds()->where('from_at', '<', $until)->where('until_at', '>', $from)->get()
                ->map(static fn (EarlyEnd $one): Interval => new Interval(Moments::minute($one->from_at), Moments::minute($one->until_at)))->all()),
        );
    }
}
