<?php

declare(strict_types=1);

namespace App\Screens\Horizon;

use App\Rows\Desk;
use App\Screens\HourScale;
use App\Time\Moments;
use App\Wording\Dates;
use App\Wording\Times;

/** Draws supply as a line and demand as steps, on the same scale. */
final readonly class CurveDrawing
{
    /** Lines across, at most. */
    private const LINES = 7;

    /** Part of the height above the highest point. */
    private const HEAD = 0.06;

    /** Letters of a label, in thousandths of the width each. */
    private const LETTER = 5.2;

    /** Below this a label has no room. */
    private const LOWEST = 935.0;

    public function __construct(private Desk $desk, private HorizonAxis $axis, private int $until) {}

    /**
     * @param  list<array{int, int}>  $supply  corners: moment and minutes
     * @param  list<array{int, int}>  $demand  due moments, and the minutes due by then
     * @param  array<int, DueRow>  $rows  by due moment
     * @param  int|null  $scale  minutes that the whole height stands for; null: as many as are needed
     */
    public function of(array $supply, array $demand, array $rows, ?int $scale = null): Curves
    {
        $now = Moments::minute($this->desk->now);
        $overdue = 0;
        $steps = [];
        foreach ($demand as [$due, $minutes]) {
            if ($due <= $now) {
                $overdue = $minutes;
            } elseif ($due <= $this->until) {
                $steps[] = [$due, $minutes];
            }
        }
        $highest = max(60, end($supply)[1] ?? 0, $steps === [] ? $overdue : end($steps)[1]);
        $top = $scale ?? (int) ceil($highest * (1 + self::HEAD));
        $height = static fn (int $minutes): float => round(1000 - 1000 * $minutes / $top, 2);
        $line = [];
        foreach ($supply as [$moment, $minutes]) {
            $line[] = [$this->axis->end($moment), $height($minutes)];
        }
        $corners = [[$this->axis->place($now), $height($overdue)]];
        $nodes = [];
        $level = $overdue;
        foreach ($steps as [$due, $minutes]) {
            $x = $this->axis->end($due);
            array_push($corners, [$x, $height($level)], [$x, $height($minutes)]);
            $nodes[] = ['left' => $x, 'top' => $height($minutes), 'label' => $rows[$due]->name ?? '', 'due' => $due, 'coral' => ($rows[$due]->room ?? 0) < 0, 'tasks' => array_column($rows[$due]->tasks ?? [], 'id')];
            $level = $minutes;
        }
        $corners[] = [1000.0, $height($level)];
        $drawn = array_column($nodes, null, 'due');
        foreach ($rows as $due => $row) { // a milestone at which nothing is due
            if (! isset($drawn[$due]) && $due > $now && $due <= $this->until) {
                $below = array_filter($steps, static fn (array $step): bool => $step[0] <= $due);
                $nodes[] = ['left' => $this->axis->end($due), 'top' => $height($below === [] ? $overdue : end($below)[1]), 'label' => $row->name, 'due' => $due, 'coral' => $row->room < 0, 'tasks' => []];
            }
        }
        usort($nodes, static fn (array $a, array $b): int => $a['due'] <=> $b['due']);

        return new Curves($line, $corners, $this->over($supply, $steps, $overdue, $height), self::labelled($nodes), $this->heights($top, $height), $this->days(), $this->axis->place($now), Times::brief($this->desk->user(), $this->desk->now), $top);
    }

    /**
     * Areas between demand and supply where demand is the higher one.
     *
     * @param  list<array{int, int}>  $supply
     * @param  list<array{int, int}>  $steps
     * @param  \Closure(int): float  $height
     * @return list<list<array{float, float}>>
     */
    private function over(array $supply, array $steps, int $level, \Closure $height): array
    {
        $areas = $under = [];
        $step = 0;
        $before = null;
        foreach ([...$supply, null] as $corner) {
            [$moment, $minutes] = $corner ?? [$this->until, $before[1] ?? 0];
            while ($step < count($steps) && $steps[$step][0] <= $moment) {
                [$due, $demand] = $steps[$step++];
                $at = $before === null ? $minutes : min($minutes, $before[1] + max(0, $due - $before[0]));
                $areas[] = self::closed($under === [] ? [] : [...$under, [$this->axis->end($due), $height(min($at, $level))]], $this->axis->end($due), $height($level));
                $level = $demand;
                $under = $level > $at ? [[$this->axis->end($due), $height($at)]] : [];
            }
            if ($under !== [] && $minutes < $level && $corner !== null) {
                $under[] = [$this->axis->end($moment), $height($minutes)];
            } elseif ($under !== []) {
                $end = $corner === null ? 1000.0 : $this->axis->end($before === null ? $moment : min($moment, $before[0] + max(0, $level - $before[1])));
                $areas[] = self::closed([...$under, [$end, $height(min($level, $minutes))]], $end, $height($level));
                $under = [];
            }
            $before = [$moment, $minutes];
        }

        return array_values(array_filter($areas, static fn (array $area): bool => count($area) > 3));
    }

    /**
     * @param  list<array{float, float}>  $under  along the supply
     * @return list<array{float, float}> and back along the step
     */
    private static function closed(array $under, float $end, float $level): array
    {
        return $under === [] ? [] : [[$under[0][0], $level], ...$under, [$end, $level]];
    }

    /**
     * Names where there is room for them under the step, to the right of its point.
     *
     * @param  list<array{left: float, top: float, label: string, due: int, coral: bool, tasks: list<int>}>  $nodes
     * @return list<array{left: float, top: float, label: string, due: int, coral: bool, tasks: list<int>}>
     */
    private static function labelled(array $nodes): array
    {
        foreach ($nodes as $i => $node) {
            $until = 1000.0;
            foreach (array_slice($nodes, $i + 1) as $next) {
                if ($next['top'] < $node['top'] - 8 || $next['left'] > $node['left']) { // there the step ends, or the next one's name begins
                    $until = $next['left'];

                    break;
                }
            }
            if ($node['coral'] || $node['top'] > self::LOWEST || mb_strlen($node['label']) * self::LETTER + 8 > $until - $node['left']) {
                $nodes[$i]['label'] = '';
            }
        }

        return $nodes;
    }

    /**
     * @param  \Closure(int): float  $height
     * @return list<array{float, string}>
     */
    private function heights(int $top, \Closure $height): array
    {
        $each = HourScale::step($top, self::LINES);
        $heights = [];
        for ($at = 0; 60 * $at < $top; $at += $each) {
            $heights[] = [$height(60 * $at), (string) $at];
        }

        return $heights;
    }

    /** @return list<array{left: float, width: float, label: string, narrow: bool, today: bool, day: string, title: string}> */
    private function days(): array
    {
        $dates = Dates::of($this->desk->user());
        $today = $this->desk->today();
        $days = [];
        $isFar = $this->axis->count > 24;
        for ($i = 0; $i < $this->axis->count; $i++) {
            $day = $this->axis->first->plusDays($i);
            [$left, $width] = $this->axis->days[$day->number];
            $isNarrow = $this->axis->isNarrow($day);
            $label = match (true) {
                $isFar => $day->weekday() === $this->desk->user()->week_starts || $i === 0 ? $dates->ofMonth($day) : '',
                $isNarrow => '',
                default => $dates->near($day),
            };
            $days[] = ['left' => $left, 'width' => $width, 'label' => $label, 'narrow' => $isNarrow, 'today' => $day->equals($today), 'day' => $day->asString(), 'title' => $dates->short($day)];
        }

        return $days;
    }
}
