<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Models\User;
use App\Models\Worked;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Ledger\Period;

/**
 * Minutes that were really worked on tasks, summed by the database. An entry counts with the local day on which it began, whole, as
 * in the account of that day: so every sum is the sum of its entries, whatever midnight or a change of the clocks does.
 */
final readonly class Spent
{
    /** Minutes of the meetings of a group. */
    private const HELD = "sum((strftime('%s', occurrences.ends_at) - strftime('%s', occurrences.starts_at)) / 60)";

    public function __construct(private User $user, private CarbonImmutable $now) {}

    /** @return list<array{group: string|null, part: string|null, minutes: int, entries: int}> */
    public function by(By $by, Period $period): array
    {
        return array_values($this->entries($period)->selectRaw("{$by->column()} as grp, {$by->part()} as piece, ".Worked::sum($this->now).' as minutes, count(*) as count')->groupBy('grp', 'piece')->get()
            ->map(static fn (\stdClass $row): array => ['group' => $row->grp === null ? null : (string) $row->grp, 'part' => $row->piece === null ? null : (string) $row->piece, 'minutes' => (int) $row->minutes, 'entries' => (int) $row->count])->all());
    }

    /**
     * Own work of each part of a period.
     *
     * @param  list<Period>  $parts
     * @return list<array{deep: int, light: int}>
     */
    public function parts(array $parts): array
    {
        $sums = array_fill(0, count($parts), ['deep' => 0, 'light' => 0]);
        $rows = DB::query()->fromRaw('json_each(?) as part', [$this->bounds($parts)])->join('entries', fn ($join) => $join->whereRaw("entries.user_id = ? and entries.break = 0 and entries.task_id is not null and entries.starts_at >= json_extract(part.value, '$[0]') and entries.starts_at < json_extract(part.value, '$[1]')", [$this->user->id]))
            ->join('tasks', 'tasks.id', 'entries.task_id')->groupBy('part.key', 'tasks.demand')->selectRaw('part.key as place, tasks.demand, '.Worked::sum($this->now).' as minutes')->get();
        foreach ($rows as $row) {
            $sums[(int) $row->place][$row->demand] += (int) $row->minutes;
        }

        return $sums;
    }

    /**
     * Meetings that were held: that interrupt work and are over.
     *
     * @param  list<Period>  $parts
     * @return list<int> minutes of each part
     */
    public function meetings(array $parts): array
    {
        $sums = array_fill(0, count($parts), 0);
        $held = $this->user->occurrences()->interrupting()->where('ends_at', '<=', $this->now)->toBase()->select(['starts_at', 'ends_at']);
        $rows = DB::query()->fromRaw('json_each(?) as part', [$this->bounds($parts)])->joinSub($held, 'held', fn ($join) => $join->whereRaw("held.starts_at >= json_extract(part.value, '$[0]') and held.starts_at < json_extract(part.value, '$[1]')"))
            ->groupBy('part.key')->selectRaw("part.key as place, sum((strftime('%s', held.ends_at) - strftime('%s', held.starts_at)) / 60) as minutes")->get();
        foreach ($rows as $row) {
            $sums[(int) $row->place] = (int) $row->minutes;
        }

        return array_values($sums);
    }

    /** Meetings held in a period, joined with their calendars. */
    public function held(Period $period): Builder
    {
        [$from, $until] = $this->span($period);

        return $this->user->occurrences()->interrupting()->where('occurrences.ends_at', '<=', $this->now)->where('occurrences.starts_at', '>=', $from)->where('occurrences.starts_at', '<', $until)
            ->join('meetings', 'meetings.id', 'occurrences.meeting_id')->join('calendars', 'calendars.id', 'meetings.calendar_id')->toBase();
    }

    /** @return list<array{id: int, name: string, minutes: int, count: int}> meetings held, by calendar */
    public function byCalendar(Period $period): array
    {
        return array_values($this->held($period)->groupBy('calendars.id', 'calendars.name')->orderBy('calendars.position')
            ->selectRaw('calendars.id, calendars.name, '.self::HELD.' as minutes, count(*) as count')->get()
            ->map(static fn (\stdClass $row): array => ['id' => (int) $row->id, 'name' => (string) $row->name, 'minutes' => (int) $row->minutes, 'count' => (int) $row->count])->all());
    }

    /** Minutes that were measured without a task, as in a meeting: they are in no sum of own work. */
    public function withoutTask(Period $period): int
    {
        [$from, $until] = $this->span($period);

        return (int) $this->user->entries()->where('break', false)->whereNull('task_id')->where('starts_at', '>=', $from)->where('starts_at', '<', $until)->selectRaw(Worked::sum($this->now).' as minutes')->value('minutes');
    }

    /** Rows of `entries` of a period joined with their tasks, let go ones too; what runs counts up to now. */
    public function entries(Period $period): Builder
    {
        [$from, $until] = $this->span($period);

        return DB::table('entries')->join('tasks', 'tasks.id', 'entries.task_id')->where('entries.user_id', $this->user->id)->where('entries.break', false)->whereNotNull('entries.task_id')->where('entries.starts_at', '>=', $from)->where('entries.starts_at', '<', $until);
    }

    /** @return array{string, string} in UTC, as it is stored */
    public function span(Period $period): array
    {
        $zone = Zones::named($this->user->zone);

        return [Moments::moment($zone->day($period->first)->start)->toDateTimeString(), Moments::moment($zone->day($period->last)->end)->toDateTimeString()];
    }

    /** @param  list<Period>  $parts */
    private function bounds(array $parts): string
    {
        return json_encode(array_map($this->span(...), $parts), JSON_THROW_ON_ERROR);
    }
}
