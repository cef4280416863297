<?php

declare(strict_types=1);

namespace App\Screens\Week;

use App\Edits\BalanceDays;
use App\Models\Block;
use App\Models\BlockState;
use App\Models\Entry;
use App\Models\Occurrence;
use App\Models\Task;
use App\Models\User;
use App\Models\Worked;
use App\Planning\Prospects;
use App\Rows\DayWork;
use App\Rows\Desk;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Rows\WorkTime;
use App\Rows\WorkTimeLoader;
use App\Time\Moments;
use App\Wording\Dates;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;

/** The days of a week against their load lines: what is laid out, what was really done, how far it can slip, what has no place yet. */
final readonly class WeekScreen
{
    public const DAYS = 7;

    public function __construct(private Desk $desk, private WorkTimeLoader $times, private Prospects $prospects, private BalanceDays $balance) {}

    public function of(User $user, LocalDay $first, CarbonImmutable $now, bool $asList, bool $balance = false): WeekPage
    {
        $today = $this->desk->today();
        $time = $this->times->load($user, $first, self::DAYS);
        $days = array_map($first->plusDays(...), range(0, self::DAYS - 1));
        $last = $days[self::DAYS - 1];
        $this->desk->readBlocks($first, $last);
        $entries = $this->entries($user, $time->span());
        $axis = WeekAxis::around($time->zone, $this->stretches($time, $days));
        $tails = $last->number < $today->number ? [] : WeekTails::of($user, $time->zone, $axis, $days, $this->desk->blocksOn(...), $this->prospects->slacks($user, $now), $now);
        $untimed = $last->number < $today->number ? [] : $this->untimed($user, $days, $now);
        $rows = array_map(fn (LocalDay $day): WeekDay => $this->day($user, $time, $day, $axis, $entries, $tails[$day->number] ?? [], $untimed[$day->number] ?? [], $now), $days);

        $isOver = array_filter($rows, static fn (WeekDay $row): bool => ! $row->isPast && $row->isOver()) !== [];

        return new WeekPage(
            title: Dates::of($user)->span($first, $last),
            first: $first,
            isNow: $first->number <= $today->number && $today->number <= $last->number,
            days: $rows,
            axis: $axis,
            hours: array_values(array_map(static fn (array $mark): array => [$mark[0], Times::hour($user, $time->zone->at($first, (int) $mark[1]))], array_filter($axis->marks(), static fn (array $mark): bool => $mark[1] !== null))),
            planned: array_sum(array_map(static fn (WeekDay $row): int => $row->main->minutes ?? 0, $rows)),
            line: array_sum(array_map(static fn (WeekDay $row): int => $row->main->load->loadLine ?? 0, $rows)),
            deep: array_sum(array_map(static fn (WeekDay $row): int => $row->work->deep, $rows)),
            worked: array_sum(array_map(static fn (WeekDay $row): int => $row->workedMinutes, $rows)),
            top: max(60, ...array_map(static fn (WeekDay $row): int => $row->top(), $rows)),
            noPlace: $last->number < $today->number ? null : NoPlace::of($this->desk),
            asList: $asList,
            isOver: $isOver,
            balance: $balance && $last->number >= $today->number ? BalancePanel::of($this->desk, $this->balance->of($user, $first, $last, $now), $days, $isOver) : null,
        );
    }

    /**
     * @param  Collection<int, Entry>  $entries
     * @param  list<WeekTail>  $tails
     * @param  list<array{task: int, title: string, minutes: int}>  $untimed
     */
    private function day(User $user, WorkTime $time, LocalDay $day, WeekAxis $axis, Collection $entries, array $tails, array $untimed, CarbonImmutable $now): WeekDay
    {
        $zone = $time->zone;
        $span = $zone->day($day);
        $today = $this->desk->today();
        $blocks = $this->desk->blocksOn($day);
        $work = DayWork::of($time, $day, $blocks);
        $stretch = static fn (Interval $interval): array => $axis->stretch($zone, $day, $interval);
        $hours = [];
        foreach ($time->allHours() as $set) {
            array_push($hours, ...$set->between($span->start, $span->end)->intervals);
        }
        $lunch = $time->lunch()->between($span->start, $span->end)->intervals[0] ?? null;
        [$lunchLeft, $lunchWidth] = $lunch === null ? [0.0, 0.0] : $stretch($lunch);
        $mine = $entries->filter(static fn (Entry $one): bool => $span->contains(Moments::minute($one->starts_at)));

        return new WeekDay(
            day: $day,
            label: Dates::of($user)->weekday($day->weekday()),
            date: Dates::of($user)->ofLongMonth($day),
            isToday: $day->equals($today),
            isPast: $day->number < $today->number,
            work: $work,
            main: $work->main(),
            open: array_map($stretch, $hours),
            lunch: $lunch === null ? null : $lunchLeft + $lunchWidth / 2,
            kept: array_values(array_map($stretch, array_filter($time->keptFree(), $span->overlaps(...)))),
            pieces: WeekPieces::of($time, $day, $axis, $blocks->toBase(), $now, $this->desk->lens()),
            worked: array_values($mine->where('break', false)->filter(static fn (Entry $one): bool => Moments::minute($one->ends_at ?? $now) > Moments::minute($one->starts_at))->map(static fn (Entry $one): array => $stretch(new Interval(Moments::minute($one->starts_at), Moments::minute($one->ends_at ?? $now))))->all()),
            workedMinutes: Worked::minutes($mine->whereNotNull('task_id'), $now),
            nowAt: $day->equals($today) && $zone->minuteOfDay(Moments::minute($now)) >= $axis->from && $zone->minuteOfDay(Moments::minute($now)) <= $axis->to ? $axis->place($zone->minuteOfDay(Moments::minute($now))) : null,
            nowLabel: Times::brief($user, $now),
            tails: $tails,
            allDay: array_values($time->occurrences->filter(static fn (Occurrence $one): bool => $one->all_day && RowMapper::time($one)->overlaps($span))->map(static fn (Occurrence $one): string => $one->shownName())->unique()->all()),
            untimed: $untimed,
            list: self::list($blocks->toBase()),
        );
    }

    /**
     * @param  Collection<int, Block>  $blocks
     * @return list<array{task: int, title: string, minutes: int, done: bool}>
     */
    private static function list(Collection $blocks): array
    {
        return array_values($blocks->reject(static fn (Block $block): bool => $block->state === BlockState::Passed)->groupBy('task_id')->map(static function (Collection $some): array {
            $task = $some->firstOrFail()->task;

            return ['task' => $task->id, 'title' => $task->title, 'minutes' => (int) $some->sum(static fn (Block $block): int => RowMapper::time($block)->length()), 'done' => $task->done_at !== null];
        })->all());
    }

    /**
     * What the axis must hold: hours in which something can lie, and what lies there.
     *
     * @param  list<LocalDay>  $days
     * @return list<array{LocalDay, Interval}>
     */
    private function stretches(WorkTime $time, array $days): array
    {
        $stretches = [];
        foreach ($days as $day) {
            $span = $time->zone->day($day);
            foreach ([...array_values($time->allHours()), IntervalSet::covering(...array_values($this->desk->blocksOn($day)->map(RowMapper::time(...))->all()))] as $set) {
                foreach ($set->between($span->start, $span->end)->intervals as $interval) {
                    $stretches[] = [$day, $interval];
                }
            }
            foreach ($time->occurrences as $one) {
                ! $one->all_day && $one->blocks() && RowMapper::time($one)->overlaps($span) && $stretches[] = [$day, RowMapper::time($one)];
            }
        }

        return $stretches;
    }

    /**
     * @param  non-empty-list<LocalDay>  $days
     * @return array<int, list<array{task: int, title: string, minutes: int}>> by the day's number
     */
    private function untimed(User $user, array $days, CarbonImmutable $now): array
    {
        $picks = new Picks($user, $this->desk->today());
        $untimed = [];
        foreach ($picks->withoutTimes($days, fn (LocalDay $day): Collection => $this->desk->blocksOn($day)->toBase(), $now) as $number => $tasks) {
            $untimed[$number] = array_values($tasks->map(static fn (Task $task): array => ['task' => $task->id, 'title' => $task->shortTitle(), 'minutes' => $picks->minutes($task, new LocalDay($number), $now)])->all());
        }

        return $untimed;
    }

    /** @return Collection<int, Entry> */
    private function entries(User $user, Interval $span): Collection
    {
        return $user->entries()->where('starts_at', '>=', Moments::moment($span->start))->where('starts_at', '<', Moments::moment($span->end))->orderBy('starts_at')->get()->toBase();
    }
}
