<?php

declare(strict_types=1);

namespace App\Screens\Frame;

use App\Models\Block;
use App\Rows\Blocks;
use App\Rows\Desk;
use App\Rows\RowMapper;
use App\Time\Moments;
use App\Wording\Dates;
use App\Wording\Times;
use Illuminate\Support\Collection;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\LocalDay;

/** Days one after another, drawn as ribbons: what a task or a project has on them, its dates, and how far it can slip. */
final readonly class DayTape
{
    public function __construct(private Desk $desk) {}

    /**
     * @param  list<int>  $tasks  whose blocks the tape is about
     * @param  array<int, array{int, string}>  $dues  by task: minute and what is said there
     * @param  int  $most  days that are drawn; days with nothing of it are left out first
     * @param  array{int, int}|null  $slack  the end of the planned work, and its latest start
     * @return list<TapeDay>
     */
    public function of(array $tasks, array $dues, int $most, ?array $slack = null): array
    {
        $time = $this->desk->time();
        $today = $this->desk->today();
        $from = $time->zone->day($today)->start;
        $until = $time->zone->day($today->plusDays(Desk::DAYS - 1))->end;
        $own = array_flip($tasks);
        $ends = $this->desk->user()->blocks()->planned()->whereIn('task_id', $tasks)->max('ends_at');
        $dueMinutes = array_column($dues, 0);
        $last = min($until - 1, max([$from, ...$dueMinutes, $ends === null ? $from : Moments::stored((string) $ends)]));
        $blocks = Blocks::during($this->desk->user(), new Interval($from, $last + 1))->with('task.area')->get();
        $days = [];
        for ($day = $today; $day->number <= $time->zone->dayOf($last)->number && $time->covers($day); $day = $day->plusDays(1)) {
            $span = $time->zone->day($day);
            $isMarked = $blocks->contains(static fn (Block $block): bool => isset($own[$block->task_id]) && RowMapper::time($block)->overlaps($span))
                || array_filter($dueMinutes, static fn (int $due): bool => $due > $span->start && $due <= $span->end) !== [];
            $days[] = [$day, $day->equals($today) || $isMarked || ($slack !== null && $span->start <= $slack[1] && $slack[1] < $span->end), $time->on($day)->allHours() !== []];
        }

        return $this->drawn(self::chosen($days, $most), $blocks, $own, $dues, $slack);
    }

    /**
     * All days where there is room for them; else those that say something, the earliest.
     *
     * @param  list<array{LocalDay, bool, bool}>  $days  with whether it says something, and whether it has hours
     * @return list<LocalDay>
     */
    private static function chosen(array $days, int $most): array
    {
        $some = count($days) <= $most ? $days : array_values(array_filter($days, static fn (array $one): bool => $one[1]));
        if (count($some) > $most) { // the last one holds the date
            $some = [...array_slice($some, 0, $most - 1), end($some)];
        }

        return array_map(static fn (array $one): LocalDay => $one[0], $some);
    }

    /**
     * @param  list<LocalDay>  $days
     * @param  Collection<int, Block>  $blocks
     * @param  array<int, int>  $own
     * @param  array<int, array{int, string}>  $dues
     * @param  array{int, int}|null  $slack
     * @return list<TapeDay>
     */
    private function drawn(array $days, Collection $blocks, array $own, array $dues, ?array $slack): array
    {
        $time = $this->desk->time();
        $today = $this->desk->today();
        $user = $this->desk->user();
        $tape = [];
        $before = null;
        foreach ($days as $day) {
            $on = $time->on($day);
            $whole = $time->zone->day($day);
            $span = Ribbon::span($on);
            $place = static fn (int $minute): float => round(1000 * (min($span->end, max($span->start, $minute)) - $span->start) / $span->length(), 2);
            $mine = $blocks->filter(static fn (Block $block): bool => RowMapper::time($block)->overlaps($whole));
            $ownHere = $mine->filter(static fn (Block $block): bool => isset($own[$block->task_id]));
            $tape[] = new TapeDay(
                day: $day,
                label: Dates::of($user)->near($day),
                ribbon: Ribbon::of($on, $mine->values(), $this->desk->now, $this->desk->lens()),
                minutes: $span->length(),
                skipped: $before === null ? 0 : $day->number - $before->number - 1,
                isToday: $day->equals($today),
                own: array_values($ownHere->pluck('id')->all()),
                late: array_values($ownHere->filter(static fn (Block $block): bool => isset($dues[$block->task_id]) && RowMapper::end($block) > $dues[$block->task_id][0])->pluck('id')->all()),
                dues: array_values(array_map(static fn (array $due): array => [$place($due[0]), $due[1]], array_filter($dues, static fn (array $due): bool => $due[0] > $whole->start && $due[0] <= $whole->end))),
                slack: $slack === null || $slack[1] <= max($slack[0], $span->start) || $slack[0] >= $span->end ? null : [$place($slack[0]), $place($slack[1])],
                latest: $slack === null || $slack[1] < $span->start || $slack[1] > $span->end ? null : [$place($slack[1]), Times::clock($user, $slack[1])],
            );
            $before = $day;
        }

        return $tape;
    }
}
