<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\Calendar;
use App\Models\HoursException;
use App\Models\HoursSet;
use App\Models\Meeting;
use App\Models\Occurrence;
use App\Models\Reserve;
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
    private const OF_CALENDARS = ['blocks', 'whole_days', 'shown', 'hatching', 'buffer_before', 'buffer_after', 'travel'];

    public function load(User $user, LocalDay $first, int $days): WorkTime
    {
        $zone = Zones::named($user->zone);
        $from = Moments::moment($zone->at($first, 0))->subHours(self::AROUND);
        $until = Moments::moment($zone->at($first->plusDays($days), 0))->addHours(self::AROUND);
        [$reserves, $ended] = $this->kept($user, $from, $until);

        [$occurrences, $more] = $this->occurrences($user, $from, $until);

        return new WorkTime($user, $first, $days, $this->sets($user), $occurrences, $reserves, $ended, $more);
    }

    /** @return Collection<int, HoursSet> with their exceptions */
    private function sets(User $user): Collection
    {
        $sets = $user->hoursSets()->select('hours_sets.*')->selectRaw(
            "(select json_group_array(json_object('id', id, 'date', date, 'stretches', stretches)) from (select * from hours_exceptions where hours_set_id = hours_sets.id order by date)) as dates",
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

    /** @return array{list<Reserve>, list<Interval>} time kept free by hand, by start, and ends of days that were cleared */
    private function kept(User $user, CarbonImmutable $from, CarbonImmutable $until): array
    {
        $rows = DB::select(
            'select id, user_id, title, starts_at, ends_at, 0 as ended from reserves where user_id = ? and starts_at < ? and ends_at > ?
             union all select id, user_id, null, from_at, until_at, 1 from early_ends where user_id = ? and from_at < ? and until_at > ? order by 4',
            [$user->id, $until->toDateTimeString(), $from->toDateTimeString(), $user->id, $until->toDateTimeString(), $from->toDateTimeString()],
        );
        $reserves = $ended = [];
        foreach ($rows as $row) {
            if ((bool) $row->ended) {
                $ended[] = new Interval(Moments::stored($row->starts_at), Moments::stored($row->ends_at));
            } else {
                $reserves[] = (new Reserve)->newFromBuilder(['id' => $row->id, 'user_id' => $row->user_id, 'title' => $row->title, 'starts_at' => $row->starts_at, 'ends_at' => $row->ends_at]);
            }
        }

        return [$reserves, $ended];
    }
}
