<?php

declare(strict_types=1);

namespace App\Screens\Month;

use App\Models\Occurrence;
use App\Models\User;
use App\Rows\Candidate;
use App\Rows\DayWork;
use App\Rows\Desk;
use App\Rows\RowMapper;
use App\Rows\SetWork;
use App\Rows\WorkTime;
use App\Rows\WorkTimeLoader;
use App\Screens\Week\WeekAxis;
use App\Time\Moments;
use App\Time\Weeks;
use App\Wording\Dates;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\LocalDay;

/** Five weeks, a row a week: how full each day is against its own load line, and what is due on it. */
final readonly class MonthScreen
{
    private const WEEKS = 5;

    /** Letters that have room beside a plumb; where more is said on its line, so many fewer. */
    private const LETTERS = 30;

    private const MORE = 12;

    /** Due dates that are drawn on a day. */
    private const MOST_DUES = 2;

    public function __construct(private Desk $desk, private WorkTimeLoader $times) {}

    public function of(User $user, LocalDay $day, CarbonImmutable $now): MonthPage
    {
        $first = Weeks::first($user, $day);
        $count = 7 * self::WEEKS;
        $last = $first->plusDays($count - 1);
        $today = $this->desk->today();
        $time = $this->times->load($user, $first, $count);
        $this->desk->readBlocks($first, $last);
        $dues = $this->dues($time);
        $entries = $user->entries()->where('break', false)->where('starts_at', '>=', Moments::moment($time->span()->start))->where('starts_at', '<', Moments::moment($time->span()->end))->toBase()->get(['starts_at', 'ends_at']);
        $worked = [];
        foreach ($entries as $one) {
            $start = Moments::stored($one->starts_at);
            $number = $time->zone->dayOf($start)->number;
            $worked[$number] = ($worked[$number] ?? 0) + max(0, ($one->ends_at === null ? Moments::minute($now) : Moments::stored($one->ends_at)) - $start);
        }
        $weeks = [];
        for ($week = 0; $week < self::WEEKS; $week++) {
            $days = array_map(fn (int $i): MonthDay => $this->day($user, $time, $first->plusDays(7 * $week + $i), $dues, $worked, $now), range(0, 6));
            $weeks[] = self::week($user, $days);
        }

        return new MonthPage(
            $first,
            $first->number <= $today->number && $today->number < $first->number + 7,
            $weeks,
            array_map(static fn (int $i): bool => array_filter($weeks, static fn (MonthWeek $week): bool => $week->days[$i]->hasHours() && $week->days[$i]->day->weekday() < 6) !== [], range(0, 6)),
            $today->number + (int) config('nekto.horizon_days') - 1,
        );
    }

    /** @param  list<MonthDay>  $days */
    private static function week(User $user, array $days): MonthWeek
    {
        $sum = static fn (\Closure $of): int => array_sum(array_map(static fn (MonthDay $day): int => $day->work === null ? 0 : $of($day->work), $days));

        return new MonthWeek(
            $days[0]->day,
            Dates::of($user)->span($days[0]->day, $days[6]->day),
            $days,
            $sum(static fn (SetWork $work): int => $work->minutes),
            $sum(static fn (SetWork $work): int => $work->load->loadLine),
            array_sum(array_map(static fn (MonthDay $day): int => $day->isPast || $day->work === null ? 0 : $day->work->free(), $days)),
            $sum(static fn (SetWork $work): int => $work->over()),
            array_sum(array_map(static fn (MonthDay $day): int => $day->deep, $days)),
        );
    }

    /**
     * @param  array<int, list<array{int, string, string, bool}>>  $dues  by the day's number
     * @param  array<int, int>  $worked  likewise
     */
    private function day(User $user, WorkTime $time, LocalDay $day, array $dues, array $worked, CarbonImmutable $now): MonthDay
    {
        $zone = $time->zone;
        $span = $zone->day($day);
        $work = DayWork::of($time, $day, $this->desk->blocksOn($day)->toBase());
        $main = $work->main();
        $set = $main === null ? null : array_search($main, $work->sets, true);
        $open = $set === null || $set === false ? [] : $time->open($set)->between($span->start, $span->end)->intervals;
        $meetings = $time->occurrences->filter(static fn (Occurrence $one): bool => RowMapper::time($one)->overlaps($span));
        $hours = $set === null || $set === false ? [] : $time->hours($set)->between($span->start, $span->end)->intervals;
        $axis = $hours === [] ? WeekAxis::around($zone, []) : WeekAxis::exactly($zone, $day, new Interval($hours[0]->start, end($hours)->end));
        $place = static fn (Interval $interval): array => $axis->stretch($zone, $day, $interval);
        $own = $dues[$day->number] ?? [];
        $shown = array_slice($own, 0, self::MOST_DUES);
        $minute = Moments::minute($now);

        return new MonthDay(
            day: $day,
            label: Dates::of($user)->near($day),
            isToday: $day->equals($this->desk->today()),
            isPast: $day->number < $this->desk->today()->number,
            work: $main,
            deep: $work->deep,
            open: array_map($place, $open),
            piers: array_values($meetings->filter(static fn (Occurrence $one): bool => ! $one->all_day && $one->blocks())->map(static fn (Occurrence $one): array => [...$place(RowMapper::time($one)), (int) $one->meeting->calendar->getAttributes()['hatching']])->filter(static fn (array $pier): bool => $pier[1] > 0)->all()),
            dues: array_map(static fn (array $due, int $i): array => ['left' => $place(new Interval($span->start, max($span->start + 1, $due[0])))[1], 'label' => self::fitting($due[1], self::LETTERS - ($i === count($shown) - 1 && count($own) > count($shown) ? self::MORE : 0)), 'link' => $due[2], 'late' => $due[3]], $shown, array_keys($shown)),
            more: count($own) - count($shown),
            worked: $worked[$day->number] ?? 0,
            nowAt: $span->contains($minute) ? $axis->place($zone->minuteOfDay($minute)) : null,
            note: $meetings->filter(static fn (Occurrence $one): bool => $one->all_day)->map(static fn (Occurrence $one): string => $one->shownName())->unique()->implode(', '),
        );
    }

    /** The whole name, or what stands before its colon or comma, or its first word: never one that is cut. */
    private static function fitting(string $name, int $letters): string
    {
        $first = (string) strtok($name, ' ');
        foreach ([$name, explode(':', $name)[0], explode(',', $name)[0]] as $text) {
            if (mb_strlen($text) <= $letters) {
                return $text;
            }
        }

        return mb_strlen($first) <= $letters ? rtrim($first, ',:') : __('horizon.due');
    }

    /** @return array<int, list<array{int, string, string, bool}>> due moment, name, where it leads, and whether it is short, by the day's number; milestones and the longest work first */
    private function dues(WorkTime $time): array
    {
        $span = $time->span();
        $due = $this->desk->open()->weighed()->filter(fn (Candidate $one): bool => $one->due !== null && $one->due > $span->start && $one->due <= $span->end && $this->desk->lens()->holdsArea($one->area))->sortByDesc('toPlan');
        $tasks = $this->desk->tasks($due->keys()->all());
        $dues = [];
        foreach ($this->desk->milestones()->all($this->desk) as $one) {
            $one['due'] > $span->start && $one['due'] <= $span->end && $dues[$time->zone->dayOf($one['due'] - 1)->number][] = [$one['due'], $one['name'], "/projects/{$one['project']}", false];
        }
        foreach ($due as $one) {
            isset($tasks[$one->id]) && $dues[$time->zone->dayOf((int) $one->due - 1)->number][] = [(int) $one->due, $tasks[$one->id]->shortTitle(), "/tasks/{$one->id}", ($one->demand?->room() ?? 0) < 0];
        }

        return $dues;
    }
}
