<?php

declare(strict_types=1);

namespace App\Screens\WhatIf;

use App\Models\Block;
use App\Models\User;
use App\Planning\Prospects;
use App\Rows\Candidate;
use App\Rows\DayWork;
use App\Rows\Desk;
use App\Rows\RowMapper;
use App\Screens\Horizon\CurveDrawing;
use App\Screens\Horizon\Curves;
use App\Screens\Horizon\HorizonAxis;
use App\Time\Moments;
use App\Wording\Dates;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Nekto\Core\Day\DayLoad;
use Nekto\Core\Prospect\NewWork;
use Nekto\Core\Prospect\Ratios;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;

/** By which date a new piece of work could be promised, what it would do to all else, and ways if it must be sooner. */
final readonly class WhatIfScreen
{
    /** Half of such work is done by the likely date, eight of ten by the careful one, which is the honest one. */
    private const LIKELY = 0.5;

    public const HONEST = 0.8;

    /** Where there is no history: what work like that takes, as it is said in the trade. */
    private const ASSUMED = [0.8, 1.0, 1.0, 1.2, 1.5, 2.0];

    /** Minutes: a shorter gap is no time for a new piece of work. */
    private const LEAST_GAP = 15;

    /** Extra minutes a day that a way opens. */
    private const EXTRA = 90;

    public function __construct(private Desk $desk, private Prospects $prospects) {}

    public function of(User $user, Wanted $wanted, CarbonImmutable $now): WhatIfPage
    {
        $byWords = $wanted->by === null ? '' : Dates::of($user)->short($wanted->by);
        $time = $this->desk->time();
        $set = $time->sets->first();
        if ($wanted->problem !== '' || $wanted->minutes === null || $set === null) {
            return new WhatIfPage($wanted, $byWords, null, [], null, [], 60, [], null, [], [], '', false, null);
        }
        $days = $this->days($set->id, $wanted->deep);
        $ratios = $this->prospects->ratios($user, $wanted->deep ? Demand::Deep : Demand::Light);
        $new = new NewWork($wanted->minutes, array_map(static fn (array $day): int => $day['free'], $days), $ratios ?? new Ratios(self::ASSUMED), $this->unplaced($set->id));
        $rows = $this->rows($user, $new, $wanted);
        $honest = array_values(array_filter($rows, static fn (PromiseRow $row): bool => $row->isHonest))[0] ?? null;
        $laid = $new->laid();
        $last = max(array_key_last($laid) ?? 0, $wanted->by->number ?? 0, $honest?->day->number ?? 0);
        $weeks = max(3, min(12, intdiv($last - $this->desk->today()->number + 11, 7)));
        $axis = HorizonAxis::of($time->zone, $this->desk->today(), 7 * $weeks, $time->hours($set->id));
        [$curves, $ramp] = $this->drawn($axis, $set->id, $laid, $wanted->minutes, $weeks);
        [$soonerBy, $ways] = $this->ways($user, $new, $rows, $days, $wanted, $set->id, $now);

        return new WhatIfPage(
            $wanted,
            $byWords,
            $curves,
            $ramp,
            $honest === null ? null : $axis->end($time->zone->day($honest->day)->end),
            $this->bars($axis, $days, $laid),
            max(60, ...array_map(static fn (array $day): int => max($day['line'], $day['planned']), $days)),
            $rows,
            $honest,
            $this->does($user, $new, $wanted, $laid, $days, $set->id),
            $ways,
            $soonerBy,
            $ratios === null,
            $honest === null ? null : ['subject' => __('whatif.subject', ['title' => $wanted->title === '' ? __('whatif.it') : $wanted->title]), 'body' => __('whatif.body', ['title' => $wanted->title === '' ? __('whatif.it') : $wanted->title, 'long' => Times::duration($wanted->minutes), 'day' => Dates::of($user)->long($honest->day), 'chance' => $honest->chance, 'name' => $user->name])],
        );
    }

    /**
     * What each day could still give to such work without moving anything: under its load line, for deep work under the deep
     * limit, and in gaps that are really there.
     *
     * @return array<int, array{free: int, line: int, planned: int, deep: int, whole: int}> by the day's number, days with hours
     */
    private function days(int $set, bool $deep): array
    {
        $time = $this->desk->time();
        $today = $this->desk->today();
        $last = $today->plusDays(Desk::DAYS - 1);
        $this->desk->readBlocks($today, $last);
        $minute = Moments::minute($this->desk->now);
        $margin = $time->user->margin_percent;
        $days = [];
        for ($day = $today; $day->number <= $last->number; $day = $day->plusDays(1)) {
            $span = $time->zone->day($day);
            $blocks = $this->desk->blocksOn($day)->toBase();
            $work = DayWork::of($time, $day, $blocks);
            $own = $work->sets[$set];
            if ($own->load->hours === 0) {
                continue;
            }
            $taken = IntervalSet::covering(...array_values($blocks->filter(static fn (Block $block): bool => $block->isPlanned())->map(static fn (Block $block): Interval => RowMapper::time($block))->all()));
            $gaps = $time->open($set)->between(max($span->start, min($span->end, $minute)), $span->end);
            $free = 0;
            foreach ($gaps->without($taken)->intervals as $gap) {
                $free += $gap->length() >= self::LEAST_GAP ? $gap->length() : 0;
            }
            $left = $day->equals($today) ? min($own->load->loadLine, DayLoad::line($gaps->length(), $margin)) : $own->load->loadLine;
            $line = min($own->free(), $left);
            $days[$day->number] = ['free' => max(0, min($line, $free, $deep ? $work->deepLimit - $work->deep : PHP_INT_MAX)), 'line' => $own->load->loadLine, 'planned' => $own->minutes, 'deep' => $own->deep, 'whole' => min($left, $deep ? $work->deepLimit : PHP_INT_MAX)];
        }

        return $days;
    }

    /** Minutes of due work in these hours that have no place yet: they come first. */
    private function unplaced(int $set): int
    {
        return (int) $this->desk->open()->weighed()->filter(static fn (Candidate $one): bool => $one->set === $set && $one->due !== null)->sum($this->desk->unplaced(...));
    }

    /** @return list<PromiseRow> by day */
    private function rows(User $user, NewWork $new, Wanted $wanted): array
    {
        $likely = $new->doneBy(self::LIKELY);
        $careful = $new->doneBy(self::HONEST);
        $days = [];
        if ($likely !== null) {
            $before = new LocalDay($likely - 1);
            $friday = $before->backTo(5);
            foreach ([$friday->number - 7, $friday->number] as $number) {
                $number > $this->desk->today()->number && $days[$number] = '';
            }
            $days[$likely] = __('whatif.likely');
        }
        $careful === null || $days[$careful] = __($careful === $likely ? 'whatif.likely_and_careful' : 'whatif.careful');
        if ($wanted->by !== null) {
            $name = $days[$wanted->by->number] ?? '';
            $days[$wanted->by->number] = $name === '' ? __('whatif.asked') : "{$name}, ".__('whatif.asked');
        }
        ksort($days);
        $rows = [];
        foreach ($days as $number => $name) {
            $day = new LocalDay($number);
            $fits = $new->fits($number);
            $rows[] = new PromiseRow($day, Dates::of($user)->short($day), $name, $fits, $fits - $new->minutes, (int) floor(100 * $new->chance($number)), $number === $careful);
        }

        return $rows;
    }

    /**
     * @param  array<int, int>  $laid
     * @return array{Curves, list<array{float, float}>}
     */
    private function drawn(HorizonAxis $axis, int $set, array $laid, int $minutes, int $weeks): array
    {
        $zone = $this->desk->time()->zone;
        $until = $zone->day($this->desk->today()->plusDays(7 * $weeks - 1))->end;
        $curve = $this->desk->open()->curves[$set] ?? null;
        $drawing = new CurveDrawing($this->desk, $axis, $until);
        $steps = $curve?->steps() ?? [];
        $supply = $curve?->supply->corners($until) ?? [];
        $highest = (end($steps)[1] ?? 0) + $minutes;
        $curves = $drawing->of($supply, $steps, [], (int) ceil(1.06 * max(60, $highest, end($supply)[1] ?? 0)));
        $ramp = [];
        $sum = 0;
        foreach ($laid as $day => $some) {
            $end = $zone->day(new LocalDay($day))->end;
            $due = 0;
            foreach ($steps as [$moment, $all]) {
                $due = $moment <= $end ? $all : $due;
            }
            $ramp === [] && $ramp[] = [$axis->place($zone->day(new LocalDay($day))->start), round(1000 - 1000 * $due / $curves->top, 2)];
            $ramp[] = [$axis->end($end), round(1000 - 1000 * ($due + ($sum += $some)) / $curves->top, 2)];
        }

        return [$curves, $ramp];
    }

    /**
     * @param  array<int, array{free: int, line: int, planned: int, deep: int, whole: int}>  $days
     * @param  array<int, int>  $laid
     * @return list<array{left: float, width: float, planned: int, deep: int, new: int, line: int}>
     */
    private function bars(HorizonAxis $axis, array $days, array $laid): array
    {
        $bars = [];
        foreach ($days as $number => $day) {
            if (isset($axis->days[$number])) {
                $bars[] = ['left' => $axis->days[$number][0], 'width' => $axis->days[$number][1], 'planned' => $day['planned'], 'deep' => $day['deep'], 'new' => $laid[$number] ?? 0, 'line' => $day['line']];
            }
        }

        return $bars;
    }

    /**
     * @param  array<int, int>  $laid
     * @param  array<int, array{free: int, line: int, planned: int, deep: int, whole: int}>  $days
     * @return list<array{title: string, what: string, before: string, then: string, coral: bool}>
     */
    private function does(User $user, NewWork $new, Wanted $wanted, array $laid, array $days, int $set): array
    {
        $does = [];
        if ($laid !== []) {
            [$from, $to] = [new LocalDay((int) array_key_first($laid)), new LocalDay((int) array_key_last($laid))];
            $isWhole = array_sum($laid) === $new->minutes;
            $does[] = ['title' => __('whatif.nothing_moves'), 'what' => trans_choice($isWhole ? 'whatif.lies' : 'whatif.lies_in_part', count($laid), ['span' => Dates::of($user)->span($from, $to), 'left' => Times::duration($new->minutes - array_sum($laid))]), 'before' => '', 'then' => '', 'coral' => ! $isWhole];
        } else {
            $does[] = ['title' => __('whatif.no_time'), 'what' => '', 'before' => '', 'then' => '', 'coral' => true];
        }
        $curve = $this->desk->open()->curves[$set] ?? null;
        $minute = Moments::minute($this->desk->now);
        $short = $this->desk->open()->weighed()->filter(static fn (Candidate $one): bool => $one->set === $set && $one->due !== null && $one->due > $minute && ($one->demand?->room() ?? 0) < 0)->sortBy(static fn (Candidate $one): int => $one->demand?->room() ?? 0)->first();
        if ($short !== null) {
            $task = $this->desk->tasks([$short->id])[$short->id] ?? null;
            $does[] = ['title' => __('whatif.stays_short', ['title' => (string) $task?->shortTitle(), 'short' => Times::duration(-($short->demand?->room() ?? 0))]), 'what' => __('whatif.neither', ['day' => Times::day($user, (int) $short->due - 1, $this->desk->now)]), 'before' => '', 'then' => ($short->pressure() ?? 0).' %', 'coral' => true];
        }
        if ($wanted->by !== null && $curve !== null) {
            $at = $curve->at($this->desk->time()->zone->day($wanted->by)->end);
            $does[] = ['title' => __('whatif.room', ['day' => Dates::of($user)->short($wanted->by)]), 'what' => __('whatif.room_of', ['open' => Times::duration($at->supply), 'due' => Times::duration($at->demand), 'then' => Times::duration($at->demand + $new->minutes)]), 'before' => Times::duration($at->room()), 'then' => Times::duration($at->room() - $new->minutes), 'coral' => $at->room() < $new->minutes];
        }
        if ($wanted->deep && $laid !== []) {
            $before = array_sum(array_map(static fn (array $day): int => $day['deep'], array_intersect_key($days, $laid)));
            $full = count(array_filter(array_keys($laid), static fn (int $day): bool => $days[$day]['deep'] + $laid[$day] >= $user->deep_limit));
            $does[] = ['title' => __('whatif.deep'), 'what' => trans_choice('whatif.deep_full', $full, ['days' => count($laid)]), 'before' => Times::duration($before), 'then' => Times::duration($before + array_sum($laid)), 'coral' => false];
        }

        return $does;
    }

    /**
     * For the day it is asked for, if that is no honest one; else for the last one before it is likely.
     *
     * @param  list<PromiseRow>  $rows
     * @param  array<int, array{free: int, line: int, planned: int, deep: int, whole: int}>  $days
     * @return array{string, list<SoonerWay>}
     */
    private function ways(User $user, NewWork $new, array $rows, array $days, Wanted $wanted, int $set, CarbonImmutable $now): array
    {
        $asked = array_values(array_filter($rows, static fn (PromiseRow $row): bool => $wanted->by?->equals($row->day) === true))[0] ?? null;
        $row = $asked !== null && $asked->chance < 100 * self::HONEST ? $asked : array_values(array_filter(array_reverse($rows), static fn (PromiseRow $row): bool => $row->name === '' && $row->chance < 100 * self::HONEST))[0] ?? null;
        if ($row === null) {
            return ['', []];
        }
        $until = $row->day->number;
        $mornings = array_slice(array_filter(array_keys($days), fn (int $day): bool => $day <= $until && $day > $this->desk->today()->number), -4);
        $ways = [];
        if ($mornings !== []) {
            $more = DayLoad::line(self::EXTRA, $user->margin_percent);
            $ways[] = new SoonerWay(trans_choice('whatif.open_longer', count($mornings), ['minutes' => Times::duration(self::EXTRA)]), __($wanted->deep ? 'whatif.open_deep' : 'whatif.open_costs', ['minutes' => Times::duration($more * count($mornings)), 'limit' => Times::duration($user->deep_limit + $more)]), $row->chance, (int) floor(100 * $new->withMore(array_fill_keys($mornings, $more))->chance($until)));
        }
        $honest = (int) floor($new->fits($until) / max(0.01, $new->careful(self::HONEST) / $new->minutes));
        $cut = $honest >= 120 ? intdiv($honest, 60) * 60 : intdiv($honest, 15) * 15;
        if ($cut > 0 && $cut < $new->minutes) {
            $ways[] = new SoonerWay(__('whatif.cut', ['to' => Times::duration($cut)]), __('whatif.cut_costs', ['off' => Times::duration($new->minutes - $cut)]), $row->chance, (int) floor(100 * $new->cutTo($cut)->chance($until)));
        }
        $whole = $new->withMore(array_map(static fn (array $day): int => $day['whole'] - $day['free'], $days));
        $ways[] = $this->first($user, $new, (int) floor(100 * $whole->chance($until)), $row, $wanted, $set, $now);

        return [$row->label, $ways];
    }

    /** All else gives way: what becomes late is found by planning with it. */
    private function first(User $user, NewWork $new, int $chance, PromiseRow $row, Wanted $wanted, int $set, CarbonImmutable $now): SoonerWay
    {
        $more = $this->prospects->lateBy($user, $new->minutes, $set, $wanted->deep ? Demand::Deep : Demand::Light, $row->day, $now);

        return new SoonerWay(__('whatif.first'), trans_choice('whatif.first_costs', $more), $row->chance, max($row->chance, $chance), hurts: $more > 0);
    }
}
