<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\Calendar;
use App\Models\HoursException;
use App\Models\HoursSet;
use App\Models\LunchDay;
use App\Models\Meeting;
use App\Models\Occurrence;
use App\Models\Reserve;
use App\Models\Routine;
use App\Models\RoutineDay;
use App\Models\User;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\LocalDay;

/** Reads a person's hours and meetings over some days, in three queries. */
final readonly class WorkTimeLoader
{
    /** Hours around the days that are read along, for buffers that reach in. */
    private const AROUND = 12;

    /** Meetings that are read whole; of further ones only what time they take. */
    private const MOST = 1500;

    /** What of a calendar says how its meetings are taken and drawn. */
    private const OF_CALENDARS = ['group_id', 'blocks', 'whole_days', 'shown', 'hatching', 'buffer_before', 'buffer_after', 'travel'];

    public function load(User $user, LocalDay $first, int $days): WorkTime
    {
        $zone = Zones::named($user->zone);
        $from = Moments::moment($zone->at($first, 0))->subHours(self::AROUND);
        $until = Moments::moment($zone->at($first->plusDays($days), 0))->addHours(self::AROUND);
        [$reserves, $ended, $routines, $lunches] = $this->kept($user, $from, $until, $first->plusDays(-1), $days + 2);
        [$occurrences, $more] = $this->occurrences($user, $from, $until);

        return new WorkTime($user, $first, $days, $this->sets($user), $occurrences, $reserves, $ended, $more, $routines, $lunches);
    }

    /** @return Collection<int, HoursSet> with their exceptions */
    private function sets(User $user): Collection
    {
        $sets = $user->hoursSets()->select('hours_sets.*')->selectRaw(
            "(select json_group_array(json_object('id', id, 'date', date, 'stretches', stretches, 'name', name, 'everywhere', everywhere)) from (select * from hours_exceptions where hours_set_id = hours_sets.id order by date)) as dates",
        )->get();
        foreach ($sets as $set) {
            $set->setRelation('exceptions', HoursException::hydrate(json_decode((string) $set->getAttributes()['dates'], true, 8, JSON_THROW_ON_ERROR)));
        }

        return $sets->toBase();
    }

    /**
     * @return array{Collection<int, Occurrence>, list<Interval>} with their meetings and calendars, by start; and the time that
     *                                                         those take which are more than anybody reads
     */
    private function occurrences(User $user, CarbonImmutable $from, CarbonImmutable $until): array
    {
        $rows = $user->occurrences()->join('meetings', 'meetings.id', 'occurrences.meeting_id')->join('calendars', 'calendars.id', 'meetings.calendar_id')
            ->whereRaw('+occurrences.starts_at < ?', [$until->toDateTimeString()])->where('occurrences.ends_at', '>', $from) // the plus keeps to the index by end: history is long, the future short
            ->orderBy('occurrences.starts_at')->orderBy('occurrences.id')->limit(self::MOST)
            ->get(['occurrences.*', 'meetings.lead_minutes', 'meetings.ignored', 'meetings.calendar_id', ...array_map(static fn (string $column): string => "calendars.{$column}", self::OF_CALENDARS)]);
        $meetings = $calendars = [];
        foreach ($rows as $row) {
            $stored = $row->getAttributes();
            $calendars[$stored['calendar_id']] ??= (new Calendar)->setRawAttributes(['id' => $stored['calendar_id'], ...array_intersect_key($stored, array_flip(self::OF_CALENDARS))], true);
            $meetings[$stored['meeting_id']] ??= (new Meeting)->setRawAttributes(['id' => $stored['meeting_id'], 'lead_minutes' => $stored['lead_minutes'], 'ignored' => $stored['ignored']], true)
                ->setRelation('calendar', $calendars[$stored['calendar_id']]);
            $row->setRelation('meeting', $meetings[$stored['meeting_id']]);
        }
        $last = count($rows) < self::MOST ? null : $rows->last();

        return [$rows->toBase(), $last === null ? [] : $this->more($user, $last, $until)];
    }

    /**
     * The time that meetings take which begin after one, and end: put together where they touch, by the database itself.
     *
     * @return list<Interval> by start
     */
    private function more(User $user, Occurrence $after, CarbonImmutable $until): array
    {
        $at = (string) $after->getAttributes()['starts_at'];
        $times = $user->occurrences()->blocking()->join('meetings', 'meetings.id', 'occurrences.meeting_id')->join('calendars', 'calendars.id', 'meetings.calendar_id')
            ->where('occurrences.starts_at', '<', $until->toDateTimeString())
            ->where(static fn ($rows) => $rows->where('occurrences.starts_at', '>', $at)->orWhere(static fn ($same) => $same->where('occurrences.starts_at', $at)->where('occurrences.id', '>', $after->id)))
            ->selectRaw(RowMapper::WITH_BUFFERS, [$user->buffer_before, $user->buffer_after])->toBase();
        $marked = DB::query()->fromSub($times, 'times')->selectRaw('since, until, case when since <= max(until) over (order by since, until rows between unbounded preceding and 1 preceding) then 0 else 1 end as starts');
        $numbered = DB::query()->fromSub($marked, 'marked')->selectRaw('since, until, sum(starts) over (order by since, until rows unbounded preceding) as number');

        return array_values(array_map(static fn (object $one): Interval => new Interval((int) $one->since, (int) $one->until), DB::query()->fromSub($numbered, 'numbered')->groupBy('number')->orderBy('since')->selectRaw('min(since) as since, max(until) as until')->get()->all()));
    }

    /** @return array{list<Reserve>, list<Interval>, list<RoutineTime>, list<LunchDay>} time kept free by hand, by start; ends of days that were cleared; time kept free every week; days with another lunch */
    private function kept(User $user, CarbonImmutable $from, CarbonImmutable $until, LocalDay $first, int $days): array
    {
        $dates = [$first->asString(), $first->plusDays($days)->asString()];
        $rows = DB::select(<<<'SQL'
            select id, user_id, title, starts_at, ends_at, 0 as kind from reserves where user_id = ? and starts_at < ? and ends_at > ?
            union all select id, user_id, null, from_at, until_at, 1 from early_ends where user_id = ? and from_at < ? and until_at > ?
            union all select id, user_id, json_object('title', title, 'at', at, 'minutes', minutes, 'days', days, 'from', "from", 'until', until, 'deep', deep, 'parts', parts), null, null, 2 from routines where user_id = ?
            union all select routine_id, user_id, json_object('id', id, 'at', at, 'minutes', minutes, 'dropped', dropped, 'ticked', ticked), date, null, 3 from routine_days where user_id = ? and date >= ? and date < ?
            union all select id, user_id, json_object('from', "from", 'to', "to"), date, null, 4 from lunch_days where user_id = ? and date >= ? and date < ? order by 4
            SQL,
            [$user->id, $until->toDateTimeString(), $from->toDateTimeString(), $user->id, $until->toDateTimeString(), $from->toDateTimeString(), $user->id, $user->id, ...$dates, $user->id, ...$dates],
        );
        $reserves = $ended = $routines = $others = $lunches = [];
        foreach ($rows as $row) {
            $more = $row->kind < 2 ? [] : json_decode((string) $row->title, true, 8, JSON_THROW_ON_ERROR);
            match ((int) $row->kind) {
                0 => $reserves[] = (new Reserve)->newFromBuilder(['id' => $row->id, 'user_id' => $row->user_id, 'title' => $row->title, 'starts_at' => $row->starts_at, 'ends_at' => $row->ends_at]),
                1 => $ended[] = new Interval(Moments::stored($row->starts_at), Moments::stored($row->ends_at)),
                2 => $routines[] = (new Routine)->newFromBuilder(['id' => $row->id, 'user_id' => $row->user_id, 'position' => 0] + $more),
                3 => $others[$row->id][$row->starts_at] = (new RoutineDay)->newFromBuilder(['routine_id' => $row->id, 'user_id' => $row->user_id, 'date' => $row->starts_at] + $more),
                default => $lunches[] = (new LunchDay)->newFromBuilder(['id' => $row->id, 'user_id' => $row->user_id, 'date' => $row->starts_at] + $more),
            };
        }

        return [$reserves, $ended, self::routines($user, $routines, $others, $first, $days), $lunches];
    }

    /**
     * @param  list<Routine>  $routines
     * @param  array<int, array<string, RoutineDay>>  $others  by routine and date
     * @return list<RoutineTime> by start
     */
    private static function routines(User $user, array $routines, array $others, LocalDay $first, int $days): array
    {
        $zone = Zones::named($user->zone);
        $times = [];
        for ($i = 0; $routines !== [] && $i < $days; $i++) {
            $day = $first->plusDays($i);
            foreach ($routines as $routine) {
                $times[] = RoutineTime::on($routine, $day, $others[$routine->id][$day->asString()] ?? null, $zone);
            }
        }
        $times = array_values(array_filter($times));
        usort($times, static fn (RoutineTime $a, RoutineTime $b): int => $a->time->start <=> $b->time->start);

        return $times;
    }
}
