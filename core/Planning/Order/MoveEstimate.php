<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Order;

use Nekto\Core\Planning\Layout\Compiled;

/**
 * What moving a task to another place of an order would gain, without laying anything. It takes every open minute to be
 * of use: a task that lets others pass ends later by their minutes of open time, and each of them earlier by its own.
 * About half of what is promised comes true, which is enough to try the right moves first and to take many at once.
 */
final class MoveEstimate
{
    /** The most places that a move may go. */
    private const RANGE = 30;

    /** The most places between two tasks that change places. */
    private const EXCHANGE = 40;

    /** @var list<int> */
    public array $order = [];

    /** @var array<int, int> place of each task */
    public array $place = [];

    /** @var array<int, int> when each task is thought to be finished */
    private array $ends = [];

    private readonly int $first;

    private readonly int $step;

    public function __construct(private readonly Compiled $of)
    {
        $this->first = $of->problem->first;
        $this->step = $of->problem->step;
    }

    /** Begins anew from an order that has been laid. */
    public function follow(Sequence $sequence): void
    {
        $this->order = $sequence->order;
        $this->place = $sequence->place;
        $this->ends = $sequence->ends;
    }

    /** @return array<int, int> gain by place, where there is one */
    public function gains(int $task): array
    {
        return $this->later($task) + $this->earlier($task);
    }

    /**
     * What changing places with an earlier task would gain: each ends about where the other did, and those in between by the
     * difference of their minutes elsewhere.
     *
     * @return array{int, int} the place of the best one, and the gain; 0 if there is none
     */
    public function bestExchange(int $task): array
    {
        [$of, $ends, $order, $step] = [$this->of, $this->ends, $this->order, $this->step];
        [$lanes, $sizes, $weights, $lates, $dues] = [$of->lane, $of->minutes, $of->weight, $of->lateness, $of->due];
        [$before, $over, $with] = [$of->lanes->open->before[$lanes[$task]], $of->lanes->open->over[$lanes[$task]], $of->lanes->with[$lanes[$task]]];
        $at = $this->place[$task];
        $first = $of->allPredecessors[$task];
        $is = $ends[$task];
        $size = $sizes[$task];
        $soonest = $of->release[$task] + $size;
        $now = $of->cost($task, $is);
        $rate = $best = 0;
        $place = $at;
        for ($i = $at - 1, $last = max(0, $at - self::EXCHANGE); $i >= $last; $i--) {
            $other = $order[$i];
            if (isset($first[$other])) {
                break;
            }
            $end = $ends[$other];
            if (! isset($with[$lanes[$other]])) {
                continue;
            }
            if ($end < $is && ! $this->isFollowed($other, $at)) {
                $more = $size - $sizes[$other];
                $slot = ($before[intdiv($end - $this->first, $step)] ?? count($over) - 1) + intdiv($more, $step);
                $goal = $slot < 0 ? $this->first : ($over[$slot] ?? $of->problem->end + $size);
                $goal = $goal < $soonest ? $soonest : $goal;
                $gain = $now - $of->cost($task, $goal) + $of->cost($other, $end) - $of->cost($other, $is) - $more * $rate;
                if ($gain > $best) {
                    [$best, $place] = [$gain, $i];
                }
            }
            $rate += $weights[$other] + ($end > $dues[$other] ? $lates[$other] : 0);
        }

        return [$place, $best];
    }

    /** True if something that comes after a task lies no later than a place. */
    private function isFollowed(int $task, int $place): bool
    {
        foreach (array_keys($this->of->allSuccessors[$task]) as $next) {
            if (($this->place[$next] ?? PHP_INT_MAX) <= $place) {
                return true;
            }
        }

        return false;
    }

    /** Goes on as if a task had changed places with the one at an earlier place. */
    public function exchange(int $task, int $at): void
    {
        $of = $this->of;
        $place = $this->place[$task];
        $other = $this->order[$at];
        $lane = $of->lane[$task];
        $shift = intdiv($of->minutes[$task] - $of->minutes[$other], $this->step);
        for ($i = $at + 1; $i < $place; $i++) {
            $between = $this->order[$i];
            if ($shift !== 0 && isset($of->lanes->with[$lane][$of->lane[$between]])) {
                $this->ends[$between] = $this->moment($of->lane[$between], $this->position($of->lane[$between], $this->ends[$between], 0) + $shift, $of->minutes[$between]);
            }
        }
        $end = $this->ends[$task];
        $this->ends[$task] = max($of->release[$task] + $of->minutes[$task], $this->moment($lane, $this->position($lane, $this->ends[$other], 0) + $shift, $of->minutes[$task]));
        $this->ends[$other] = $end;
        $order = $this->order;
        [$order[$at], $order[$place]] = [$task, $other];
        $this->order = array_values($order);
        [$this->place[$task], $this->place[$other]] = [$at, $place];
    }

    /**
     * The order with a task taken to another place; what must come before it, or wait for it, and lies in between goes
     * along.
     *
     * @return list<int>
     */
    private function moved(int $task, int $to): array
    {
        $order = $this->order;
        $at = $this->place[$task];
        [$first, $last] = $at < $to ? [$at, $to] : [$to, $at];
        $along = $at < $to ? $this->of->allSuccessors[$task] : $this->of->allPredecessors[$task];
        $company = $others = [];
        for ($i = $first; $i <= $last; $i++) {
            if ($i === $at || isset($along[$order[$i]])) {
                $company[] = $order[$i];
            } else {
                $others[] = $order[$i];
            }
        }
        foreach ($at < $to ? [...$others, ...$company] : [...$company, ...$others] as $i => $other) {
            $order[$first + $i] = $other;
        }

        return array_values($order);
    }

    /** Goes on as if a move had been made and kept its promise. */
    public function take(int $task, int $to): void
    {
        $of = $this->of;
        $at = $this->place[$task];
        $order = $this->moved($task, $to);
        $isLater = $at < $to;
        $along = $isLater ? $of->allSuccessors[$task] : $of->allPredecessors[$task];
        $lane = $of->lane[$task];
        $with = $of->lanes->with[$lane];
        $minutes = $of->minutes[$task];
        $end = $this->ends[$task];
        $shift = intdiv($minutes, $this->step);
        $position = $this->position($lane, $end, $shift);
        [$first, $last] = $isLater ? [$at, $to] : [$to, $at];
        for ($i = $first; $i <= $last; $i++) {
            $other = $this->order[$i];
            $its = $this->ends[$other];
            if ($i === $at || isset($along[$other]) || ! isset($with[$of->lane[$other]]) || ($isLater ? $its < $end - $minutes : $its > $end)) {
                continue;
            }
            $steps = intdiv($of->minutes[$other], $this->step);
            $position += $isLater ? $steps : -$steps;
            $this->ends[$other] = $isLater
                ? $this->soonest($other, $its, $this->position($of->lane[$other], $its, 0) - $shift)
                : $this->moment($of->lane[$other], $this->position($of->lane[$other], $its, 0) + $shift, $of->minutes[$other]);
        }
        $this->ends[$task] = $isLater ? $this->moment($lane, $position, $minutes) : $this->soonest($task, $end, $position);
        for ($i = $first; $i <= $last; $i++) {
            $this->place[$order[$i]] = $i;
        }
        $this->order = $order;
    }

    /**
     * Speed matters here: lookups are written out instead of called.
     *
     * @return array<int, int>
     */
    private function later(int $task): array
    {
        [$of, $ends, $order, $first, $step] = [$this->of, $this->ends, $this->order, $this->first, $this->step];
        [$lanes, $sizes, $weights, $lates, $dues, $releases] = [$of->lane, $of->minutes, $of->weight, $of->lateness, $of->due, $of->release];
        [$before, $over, $with] = [$of->lanes->open->before, $of->lanes->open->over, $of->lanes->with[$of->lane[$task]]];
        $at = $this->place[$task];
        $along = $of->allSuccessors[$task];
        $mine = $over[$lanes[$task]];
        $shift = intdiv($sizes[$task], $step);
        $position = $this->position($lanes[$task], $ends[$task], $shift);
        $start = $ends[$task] - $sizes[$task];
        $gain = $of->cost($task, $ends[$task]);
        $group = [$task];
        $promise = [];
        $last = min(count($order) - 1, $at + self::RANGE);
        for ($i = $at + 1; $i <= $last; $i++) {
            $other = $order[$i];
            $end = $ends[$other];
            if (isset($along[$other])) {
                $group[] = $other;
                $shift += intdiv($sizes[$other], $step);
                $gain += $of->cost($other, $end);

                continue;
            }
            $lane = $lanes[$other];
            if ($end < $start || ! isset($with[$lane])) {
                continue;
            }
            $slot = ($before[$lane][intdiv($end - $first, $step)] ?? count($over[$lane]) - 1) - $shift;
            $to = $slot < 0 ? $first : $over[$lane][$slot];
            $soonest = $releases[$other] + $sizes[$other];
            if ($to < $soonest) {
                $to = $soonest < $end ? $soonest : $end;
            }
            $due = $dues[$other];
            $gain += $weights[$other] * ($end - $to) + ($end > $due ? $lates[$other] * ($end - ($to > $due ? $to : $due)) : 0);
            $position += intdiv($sizes[$other], $step);
            $goal = $mine[$position] ?? $of->problem->end + $sizes[$task];
            $total = $gain;
            foreach ($group as $member) {
                $total -= $of->cost($member, $goal);
            }
            if ($total > 0) {
                $promise[$i] = $total;
            }
        }

        return $promise;
    }

    /** @return array<int, int> */
    private function earlier(int $task): array
    {
        [$of, $ends, $order, $first, $step] = [$this->of, $this->ends, $this->order, $this->first, $this->step];
        [$lanes, $sizes, $weights, $lates, $dues] = [$of->lane, $of->minutes, $of->weight, $of->lateness, $of->due];
        [$before, $over, $with] = [$of->lanes->open->before, $of->lanes->open->over, $of->lanes->with[$of->lane[$task]]];
        $at = $this->place[$task];
        $along = $of->allPredecessors[$task];
        $mine = $over[$lanes[$task]];
        $shift = intdiv($sizes[$task], $step);
        $position = $this->position($lanes[$task], $ends[$task], $shift);
        $is = $ends[$task];
        $soonest = min($is, $of->release[$task] + $sizes[$task]);
        $gain = $of->cost($task, $is);
        $promise = [];
        $last = max(0, $at - self::RANGE);
        for ($i = $at - 1; $i >= $last; $i--) {
            $other = $order[$i];
            if (isset($along[$other])) {
                $shift += intdiv($sizes[$other], $step);

                continue;
            }
            $lane = $lanes[$other];
            $end = $ends[$other];
            if ($end > $is || ! isset($with[$lane])) {
                continue;
            }
            $slot = $before[$lane][intdiv($end - $first, $step)] ?? null;
            $to = $slot === null ? $end : ($over[$lane][$slot + $shift] ?? $of->problem->end + $sizes[$other]);
            $due = $dues[$other];
            $gain -= $weights[$other] * ($to - $end) + ($to > $due ? $lates[$other] * ($to - ($end > $due ? $end : $due)) : 0);
            $position -= intdiv($sizes[$other], $step);
            $goal = $position < 0 ? $first : ($mine[$position] ?? $is);
            $goal = $goal < $soonest ? $soonest : $goal;
            $total = $gain - $of->cost($task, $goal);
            if ($total > 0) {
                $promise[$i] = $total;
            }
            if ($goal <= $soonest) {
                break; // further ahead it ends no earlier
            }
        }

        return $promise;
    }

    /** Open steps of a lane before a moment; after the horizon, so many more. */
    private function position(int $lane, int $moment, int $beyond): int
    {
        return $this->of->lanes->open->before[$lane][intdiv($moment - $this->first, $this->step)]
            ?? count($this->of->lanes->open->over[$lane]) - 1 + $beyond;
    }

    private function moment(int $lane, int $position, int $minutes): int
    {
        return $position < 0 ? $this->first : ($this->of->lanes->open->over[$lane][$position] ?? $this->of->problem->end + $minutes);
    }

    /** When a task that ends now at one moment would end at an earlier position, as its earliest start allows. */
    private function soonest(int $task, int $end, int $position): int
    {
        $moment = $this->moment($this->of->lane[$task], $position, $this->of->minutes[$task]);

        return min($end, max($moment, $this->of->release[$task] + $this->of->minutes[$task]));
    }
}
