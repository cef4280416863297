<?php

declare(strict_types=1);

namespace App\Screens\Ledger;

use App\Ledger\By;
use App\Ledger\Promised;
use App\Ledger\SaidChances;
use App\Ledger\Spent;
use App\Models\User;
use App\Rows\Desk;
use App\Rows\GoalSteps;
use App\Rows\PastRatios;
use App\Rows\WorkTimeLoader;
use App\Time\Moments;
use App\Time\Zones;
use App\Wording\Dates;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Estimate\Correction;
use Nekto\Core\Estimate\Pair;
use Nekto\Core\Goals\Kept;
use Nekto\Core\Ledger\Between;
use Nekto\Core\Ledger\Period;
use Nekto\Core\Prospect\Ratios;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;

/** Where time went over a period, set against what was promised and against the period before. */
final readonly class LedgerScreen
{
    /** Days of which each promise is drawn; of more only their sum is said. */
    private const DRAWN_DAYS = 92;

    /** Weeks of habits, the last ones. */
    private const WEEKS = 6;

    private const CARRIED = 5;

    /** Lines of bars: of more parts only the last are drawn. */
    private const PARTS = 27;

    public function __construct(private Desk $desk, private Promised $promised, private PastRatios $past, private WorkTimeLoader $times) {}

    public function of(User $user, string $key, Period $period, By $by, CarbonImmutable $now): LedgerPage
    {
        $spent = new Spent($user, $now);
        [$groups, $sum, $others] = (new LedgerGroups($this->desk, $spent, $this->promised))->of($user, $period, $by);
        $meetings = $this->meetings($spent, $period);
        $parts = $this->parts($user, $spent, $period);
        [$days, $promises] = $this->promises($user, $period, $now);
        [$weeks, $habits] = $this->habits($user, $period, $now);
        $dates = Dates::of($user);

        return new LedgerPage(
            key: $key,
            choices: array_combine(Periods::NAMES, array_map(static fn (string $name): string => __("ledger.periods.{$name}"), Periods::NAMES)),
            period: $period,
            span: $dates->span($period->first, $period->last),
            beforeSpan: $dates->span($period->before()->first, $period->before()->last),
            by: $by,
            groups: $groups,
            sum: $sum,
            others: $others,
            meetings: $meetings,
            scale: max([60, ...array_map(static fn (LedgerRow $row): int => $row->reach(), [...$meetings, ...array_merge(...array_map(static fn (LedgerGroup $group): array => $group->rows === [] ? [$group->sum] : $group->rows, $groups))])]),
            parts: $parts,
            widest: max([60, ...array_map(static fn (array $part): int => $part['deep'] + $part['light'] + $part['meetings'], $parts)]),
            between: $this->between($user, $spent, $period, $now),
            withoutTask: $spent->withoutTask($period),
            estimates: $this->estimates($user),
            chances: SaidChances::kept($user, $spent, $period, $now),
            carried: $this->carried($user, $spent, $period),
            days: $days,
            promises: $promises,
            habits: $habits,
            weeks: $weeks,
            well: $user->encourages ? $this->well($user, $spent, $period, $promises) : null,
            own: $period->first->asString().' '.$period->last->asString(),
        );
    }

    /** @return list<LedgerRow> */
    private function meetings(Spent $spent, Period $period): array
    {
        $before = array_column($spent->byCalendar($period->before()), 'minutes', 'id');

        return array_map(static fn (array $row): LedgerRow => new LedgerRow($row['name'], "meetings/{$row['id']}", null, $row['minutes'], $before[$row['id']] ?? 0, true), $spent->byCalendar($period));
    }

    /** @return list<array{label: string, deep: int, light: int, meetings: int}> */
    private function parts(User $user, Spent $spent, Period $period): array
    {
        $parts = array_slice($period->parts($user->week_starts), -self::PARTS);
        $work = $spent->parts($parts);
        $meetings = $spent->meetings($parts);
        $dates = Dates::of($user);

        return array_map(static fn (Period $part, array $own, int $held): array => ['label' => $part->days() === 1 ? $dates->near($part->first) : $dates->ofMonth($part->first), 'meetings' => $held] + $own, $parts, $work, $meetings);
    }

    /** Hours of all sets, without lunch; of today what is gone. */
    private function between(User $user, Spent $spent, Period $period, CarbonImmutable $now): Between
    {
        $zone = Zones::named($user->zone);
        $minute = Moments::minute($now);
        [$from, $until] = [$zone->day($period->first)->start, min($minute, $zone->day($period->last)->end)];
        if ($until <= $from) {
            return Between::of(IntervalSet::empty());
        }
        $time = $this->times->load($user, $period->first, $zone->dayOf($until - 1)->number - $period->first->number + 1);
        $hours = IntervalSet::empty();
        foreach ($time->sets as $set) {
            $hours = $hours->union($time->hours($set->id));
        }
        $stretch = static fn (\stdClass $row): ?Interval => ($end = $row->ends_at === null ? $minute : Moments::stored((string) $row->ends_at)) > ($start = Moments::stored((string) $row->starts_at)) ? new Interval($start, $end) : null;
        [$first, $last] = $spent->span($period);
        $held = $spent->held($period)->get(['occurrences.starts_at', 'occurrences.ends_at']);
        $worked = $user->entries()->where('break', false)->where('starts_at', '>=', $first)->where('starts_at', '<', $last)->toBase()->get(['starts_at', 'ends_at']);

        return Between::of($hours->between($from, $until), ...array_filter([...$worked->map($stretch)->all(), ...$held->map($stretch)->all()]));
    }

    /** @return list<EstimateKind> what takes most over its estimate last */
    private function estimates(User $user): array
    {
        $dated = $this->past->dated($user);
        $pairs = array_column($dated, 0);
        $kinds = [];
        foreach ($pairs as $pair) { // the newest first
            $kinds["{$pair->area} {$pair->demand->value}"][] = $pair;
        }
        $rows = [];
        foreach ($kinds as $some) {
            $area = $this->desk->areas()[(int) $some[0]->area] ?? null;
            if ($area === null || ! $this->desk->lens()->holdsArea($area->id)) {
                continue;
            }
            $ratios = new Ratios(self::ratios($some));
            $estimates = array_map(static fn (Pair $pair): int => $pair->estimate, $some);
            sort($estimates);
            $correction = Correction::of($pairs, $some[0]->area, $some[0]->demand, $estimates[intdiv(count($estimates), 2)]);
            $half = intdiv(count($some), 2);
            $rows[] = new EstimateKind(
                __($some[0]->demand === Demand::Deep ? 'ledger.deep_of' : 'ledger.light_of', ['area' => $area->name]), $ratios->at(0.2), $ratios->at(0.5), $ratios->at(0.8),
                count($some) < Correction::LEAST ? null : $correction->median, count($some), $half < Correction::LEAST ? null : (new Ratios(self::ratios(array_slice($some, -$half))))->at(0.5),
            );
        }
        usort($rows, static fn (EstimateKind $a, EstimateKind $b): int => [$a->likely === null, $a->likely] <=> [$b->likely === null, $b->likely]);

        return $rows;
    }

    /**
     * @param  non-empty-list<Pair>  $pairs
     * @return non-empty-list<float>
     */
    private static function ratios(array $pairs): array
    {
        return array_map(static fn (Pair $pair): float => $pair->ratio(), $pairs);
    }

    /** @return list<array{id: int, title: string, carried: int, done: bool}> */
    private function carried(User $user, Spent $spent, Period $period): array
    {
        [$from, $until] = $spent->span($period);

        return array_values($user->tasks()->where('carried', '>', 0)->where(static fn ($one) => $one->whereNull('done_at')->orWhere(static fn ($done) => $done->where('done_at', '>=', $from)->where('done_at', '<', $until)))
            ->orderByDesc('carried')->orderBy('id')->limit(self::CARRIED)->toBase()->get(['id', 'title', 'carried', 'done_at'])
            ->map(static fn (\stdClass $row): array => ['id' => (int) $row->id, 'title' => (string) $row->title, 'carried' => (int) $row->carried, 'done' => $row->done_at !== null])->all());
    }

    /**
     * Key tasks of the days that were taken: as the day was closed, else as they stand.
     *
     * @return array{list<array{label: string, kept: int, missed: int, closed: bool, first: bool}>, array{kept: int, all: int, closed: int, days: int}}
     */
    private function promises(User $user, Period $period, CarbonImmutable $now): array
    {
        $span = [$period->first->asString(), min($period->last->asString(), $this->desk->today()->plusDays(-1)->asString())];
        $closed = DB::select(<<<'SQL'
            select closed_days.date, 1 as closed, coalesce(sum(json_extract(row.value, '$.key') = 1), 0) as keys, coalesce(sum(json_extract(row.value, '$.key') = 1 and json_extract(row.value, '$.became') = 'kept'), 0) as kept
                from closed_days left join json_each(closed_days.account, '$.rows') as row where user_id = ? and date between ? and ? and closed_at is not null and account is not null group by closed_days.date
            SQL, [$user->id, ...$span]);
        $rows = [...$closed, ...$this->taken($user, $span)];
        usort($rows, static fn (\stdClass $a, \stdClass $b): int => $a->date <=> $b->date);
        $sums = ['kept' => array_sum(array_column($rows, 'kept')), 'all' => array_sum(array_column($rows, 'keys')), 'closed' => array_sum(array_column($rows, 'closed')), 'days' => count($rows)];
        $days = [];
        $dates = Dates::of($user);
        $week = null;
        foreach ($period->days() <= self::DRAWN_DAYS ? $rows : [] as $row) {
            $day = LocalDay::fromString($row->date);
            $first = Period::week($day, $user->week_starts)->first->number;
            $days[] = ['label' => $dates->ofMonth($day), 'kept' => (int) $row->kept, 'missed' => $row->keys - $row->kept, 'closed' => (bool) $row->closed, 'first' => $first !== $week];
            $week = $first;
        }

        return [$days, $sums];
    }

    /**
     * Key tasks of days that were taken and not closed: kept if done before the day's end, which is the person's.
     *
     * @param  array{string, string}  $span
     * @return list<\stdClass> date, closed, keys, kept
     */
    private function taken(User $user, array $span): array
    {
        $zone = Zones::named($user->zone);
        $days = [];
        $keys = DB::select(<<<'SQL'
            select promises.date, coalesce(json_extract(row.value, '$.key') = 1, 0) as key, tasks.done_at
                from promises left join json_each(promises.tasks) as row left join tasks on tasks.id = json_extract(row.value, '$.task') where promises.user_id = ? and promises.date between ? and ?
                and not exists (select 1 from closed_days where closed_days.user_id = promises.user_id and closed_days.date = promises.date and closed_at is not null and account is not null)
            SQL, [$user->id, ...$span]);
        foreach ($keys as $row) {
            $day = $days[$row->date] ??= (object) ['date' => $row->date, 'closed' => 0, 'keys' => 0, 'kept' => 0, 'end' => $zone->day(LocalDay::fromString($row->date))->end];
            $day->keys += $row->key;
            $day->kept += $row->key && $row->done_at !== null && Moments::stored($row->done_at) < $day->end ? 1 : 0;
        }

        return array_values($days);
    }

    /** @return array{list<string>, list<array{name: string, weeks: list<array{int, int}|null>}>} weeks, and of each habit and of the steps how many of how many */
    private function habits(User $user, Period $period, CarbonImmutable $now): array
    {
        $last = min($period->last->number, $this->desk->today()->number);
        $weeks = [];
        for ($day = Period::week(new LocalDay($last), $user->week_starts)->first; $day->number + 6 >= $period->first->number && count($weeks) < self::WEEKS; $day = $day->plusDays(-7)) {
            array_unshift($weeks, $day);
        }
        if ($weeks === []) {
            return [[], []];
        }
        $zone = Zones::named($user->zone);
        $minute = Moments::minute($now);
        $table = [];
        foreach (DB::table('tasks')->join('habits', 'habits.id', 'tasks.habit_id')->where('habits.user_id', $user->id)->whereBetween('occurs_on', [$weeks[0]->asString(), end($weeks)->plusDays(6)->asString()])->groupBy('habits.id', 'habits.title', 'occurs_on')->orderBy('habits.position')->get(['habits.title', 'occurs_on', DB::raw('count(*) as times'), DB::raw('count(tasks.done_at) as done')]) as $row) {
            $table[$row->title][$this->week($weeks, $row->occurs_on)] = [(int) $row->done, (int) $row->times];
        }
        $steps = GoalSteps::judged(DB::table('goal_steps')->join('tasks', 'tasks.id', 'goal_steps.task_id')->where('goal_steps.user_id', $user->id)->whereBetween('week_on', [$weeks[0]->asString(), end($weeks)->plusDays(6)->asString()]))->get(['week_on', 'done_at']);
        foreach ($steps as $row) {
            $week = $this->week($weeks, $row->week_on);
            $was = $table[__('ledger.steps')][$week] ?? [0, 0];
            $kept = Kept::of($row->done_at === null ? null : Moments::stored($row->done_at), $zone->at(LocalDay::fromString($row->week_on)->plusDays(7), 0), $minute);
            $table[__('ledger.steps')][$week] = [$was[0] + ($kept === Kept::Kept ? 1 : 0), $was[1] + 1];
        }
        $dates = Dates::of($user);

        return [array_map($dates->ofMonth(...), $weeks), array_map(static fn (string $name, array $byWeek): array => ['name' => $name, 'weeks' => array_map(static fn (int $i): ?array => $byWeek[$i] ?? null, array_keys($weeks))], array_keys($table), $table)];
    }

    /** @param  non-empty-list<LocalDay>  $weeks */
    private function week(array $weeks, string $date): int
    {
        return max(0, min(count($weeks) - 1, intdiv(LocalDay::fromString($date)->number - $weeks[0]->number, 7)));
    }

    /** @param  array{kept: int, all: int, closed: int, days: int}  $promises */
    private function well(User $user, Spent $spent, Period $period, array $promises): ?string
    {
        [$from, $until] = $spent->span($period);
        $done = DB::table('tasks')->where('tasks.user_id', $user->id)->where('tasks.done_at', '>=', $from)->where('tasks.done_at', '<', $until);
        $habits = (clone $done)->join('habits', 'habits.id', 'tasks.habit_id')->groupBy('habits.title')->orderByRaw('min(habits.position)')->selectRaw('habits.title, count(*) as times')->pluck('times', 'title')->all();
        $steps = $done->whereExists(static fn (Builder $one): Builder => $one->from('goal_steps')->whereColumn('goal_steps.task_id', 'tasks.id'))->count();
        $said = array_filter([
            $promises['closed'] > 0 ? trans_choice('ledger.well.closed', $promises['closed'], ['days' => $promises['days']]) : '',
            $promises['kept'] > 0 ? trans_choice('ledger.well.kept', $promises['kept'], ['all' => $promises['all']]) : '',
            ...array_map(static fn (string $name, int $times): string => trans_choice('ledger.well.habit', $times, ['name' => $name]), array_keys($habits), $habits),
            $steps > 0 ? trans_choice('ledger.well.steps', $steps) : '',
        ]);

        return $said === [] ? null : implode(', ', $said).'.';
    }
}
