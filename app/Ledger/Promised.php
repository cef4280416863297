<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Models\User;
use App\Rows\Account;
use App\Rows\Desk;
use App\Time\Moments;
use App\Time\Zones;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Ledger\Period;
use Nekto\Core\Time\LocalDay;

/**
 * What was promised for the days of a period, task by task, as the account of each day has it: as it was closed, else as the
 * day was taken; of a day that nobody took, what was laid out.
 */
final readonly class Promised
{
    public function __construct(private Desk $desk) {}

    /** @return list<array{date: string, task: int, title: string, minutes: int}> by day */
    public function of(User $user, Period $period): array
    {
        $days = [$period->first->asString(), $period->last->asString()];
        $rows = DB::select(<<<'SQL'
            select closed_days.date, json_extract(row.value, '$.task') as task, json_extract(row.value, '$.title') as title, json_extract(row.value, '$.promised') as minutes
                from closed_days, json_each(closed_days.account, '$.rows') as row where user_id = ? and date between ? and ? and closed_at is not null and account is not null
            union all select promises.date, json_extract(row.value, '$.task'), json_extract(row.value, '$.title'), json_extract(row.value, '$.minutes')
                from promises, json_each(promises.tasks) as row where promises.user_id = ? and promises.date between ? and ?
                and not exists (select 1 from closed_days where closed_days.user_id = promises.user_id and closed_days.date = promises.date and closed_at is not null and account is not null)
            order by 1
            SQL, [$user->id, ...$days, $user->id, ...$days]);
        $promised = array_map(static fn (\stdClass $row): array => ['date' => (string) $row->date, 'task' => (int) $row->task, 'title' => (string) $row->title, 'minutes' => (int) $row->minutes], $rows);
        foreach ($this->untaken($user, $period) as $day) {
            array_push($promised, ...$this->laidOut($day));
        }

        return array_values(array_filter($promised, static fn (array $row): bool => $row['minutes'] > 0));
    }

    /** @return list<LocalDay> days with blocks that were neither taken nor closed, up to today */
    private function untaken(User $user, Period $period): array
    {
        $zone = Zones::named($user->zone);
        $last = min($period->last->number, $this->desk->today()->number);
        if ($last < $period->first->number) {
            return [];
        }
        $known = array_fill_keys([...$user->promises()->whereBetween('date', [$period->first->asString(), $period->last->asString()])->pluck('date')->all(), ...$user->closedDays()->whereNotNull('closed_at')->whereNotNull('account')->whereBetween('date', [$period->first->asString(), $period->last->asString()])->pluck('date')->all()], true);
        $days = [];
        $starts = DB::table('blocks')->where('user_id', $user->id)->where('starts_at', '>=', Moments::moment($zone->day($period->first)->start)->toDateTimeString())->where('starts_at', '<', Moments::moment($zone->day(new LocalDay($last))->end)->toDateTimeString())->orderBy('starts_at')->pluck('starts_at');
        foreach ($starts as $start) {
            $day = $zone->dayOf(Moments::stored((string) $start));
            isset($known[$day->asString()]) || $days[$day->number] = $day;
        }

        return array_values($days);
    }

    /** @return list<array{date: string, task: int, title: string, minutes: int}> */
    private function laidOut(LocalDay $day): array
    {
        $rows = [];
        foreach ($this->desk->blocksOn($day)->toBase()->groupBy('task_id') as $id => $own) {
            $task = $own->firstOrFail()->task;
            $rows[] = ['date' => $day->asString(), 'task' => (int) $id, 'title' => $task->title, 'minutes' => Account::laidOut($task, $own, $this->desk->now)];
        }

        return $rows;
    }
}
