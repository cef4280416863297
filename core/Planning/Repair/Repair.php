<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Repair;

use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\Keeping;
use Nekto\Core\Planning\Layout\Timetable;
use Nekto\Core\Planning\Order\OrderSearch;

/**
 * Plans again from a previous plan where moving work may pay: every block that still may lie where it lay is kept, the
 * rest is laid around them. Where a task then fares worse than in the previous plan, neighbours in time that stand in its
 * way and could well wait give up their places, as long as that saves more than the moved minutes cost; whoever did so
 * needlessly gets its place back. What the previous plan was content with is no reason to move anything: a task that does better than before
 * counts as if it did as well as before.
 */
final class Repair
{
    // The numbers below are tuned: what their neighbours do is in bench/sweep.md, made by bench/sweep.

    /** What a moved minute must save to be worth it, in twentieths of a minute of the objective. */
    public const PRICE = 80;

    /** Of the tasks that fare worse, room is looked for for so many. */
    private const HELPED = 5;

    /** So many tasks that lie one after another are loosened together. */
    private const TOGETHER = 8;

    /** Of the groups that might make room, so many are tried. */
    private const TRIED_FIRST = 80;

    /** The same where something was loosened before that did not pay by itself. */
    private const TRIED = 14;

    /** After the first gain so many more are tried for a greater one. */
    private const MORE = 30;

    private const BEAM = 4;

    private const DEPTH = 3;

    /** Blocks that are stirred at once. */
    private const STRETCH = 14;

    /** Orders laid out to find a better one for what was stirred. */
    private const STIR = 12;

    /** A stirred plan that is worse by less than this share is worth taking back what moved needlessly. */
    private const NEARLY = 0.02;

    /** Kept for the order of what is loose in the end. */
    private const RESERVE = 40;

    /** How well a task can wait is judged by what this delay would cost, in minutes. */
    private const DELAY = 8000;

    /** @var array<int, int> by task: what it cost in the last plan, where that placed all of it */
    private array $content = [];

    /** With every block kept that may be. */
    private Timetable $kept;

    /** @var array<int, true> tasks that were promised their places */
    private array $fixed = [];

    /** @var array<int, true> tasks that are not kept whole */
    private array $rest = [];

    /** @var array<int, int> by task: the damage that it does in any plan */
    private array $least = [];

    /** @var array<int, int> damage of each task that is kept whole */
    private array $damage = [];

    /** @var array<string, true> sets of loose tasks that were tried without gain */
    private array $failed = [];

    private int $left;

    /**
     * @param  Timetable  $base  with commitments
     * @param  list<int>  $order  of the tasks to lay, by urgency, predecessors first
     * @param  int  $price  of a moved minute, in twentieths of a minute of the objective
     */
    public function __construct(private readonly Compiled $of, Timetable $base, private readonly array $order, private readonly int $price, int $effort)
    {
        $this->left = $effort;
        $this->readPrevious();
        $this->kept = clone $base;
        foreach ($order as $task) {
            if ($base->keptMinutes($task) > 0) {
                $this->fixed[$task] = true;
            }
            $this->keep($task);
        }
        foreach ($order as $task) {
            if ($this->kept->keptMinutes($task) === $of->minutes[$task] && $of->odd[$task] === 0) {
                $this->kept->countAsPlaced($task);
                $this->damage[$task] = $this->damageOf($task, $this->kept->last);
            } else {
                $this->rest[$task] = true;
            }
            $this->least[$task] = max($this->content[$task] ?? 0, $of->alone($task));
        }
    }

    /** @return array{Timetable, list<int>} what stays, and the order in which the others are laid around it */
    public function solve(): array
    {
        $loose = [];
        $best = $this->refilled($loose);
        while ($this->left > 0 && ($found = $this->loosened($best)) !== null) {
            $best = $found;
        }
        $best = $this->stirred($this->withoutNeedless($best));
        $better = (new OrderSearch($this->of, $best->base))->best([$best->order], $this->left);
        $ordered = $this->refilled($best->loose, $better);
        $best = $ordered->value < $best->value ? $ordered : $best;

        return [$best->base, $best->order];
    }

    private function readPrevious(): void
    {
        $of = $this->of;
        $placed = $finish = [];
        foreach ([...$of->problem->previous, ...$of->problem->anchored] as $block) {
            $task = $of->index[$block->task] ?? null;
            if ($task === null) {
                continue;
            }
            $placed[$task] = ($placed[$task] ?? 0) + $block->time->length();
            $finish[$task] = max($finish[$task] ?? 0, $block->time->end);
        }
        foreach ($of->problem->tasks as $task => $known) {
            if (($placed[$task] ?? 0) >= $known->minutes) {
                $this->content[$task] = $of->cost($task, $finish[$task]);
            }
        }
    }

    private function keep(int $task): void
    {
        foreach ($this->of->previousBlocks[$task] ?? [] as [$start, $end]) {
            if ($start >= $this->of->release[$task] && $this->isAfterKept($task, $start) && Keeping::leavesWhole($this->of, $this->kept, $task, $start, $end)) {
                $this->kept->keep($task, $start, $end);
            }
        }
    }

    /** True if nothing that comes before a task stays beyond that moment. */
    private function isAfterKept(int $task, int $start): bool
    {
        foreach ($this->of->predecessors[$task] as $before) {
            if ($this->kept->endOfKept($before) > $start) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  array<int, true>  $loose  tasks that give up their places
     * @param  list<int>|null  $order  of all that is laid; by urgency if null
     * @param  Repaired|null  $from  a state in which fewer are loose, to go on from
     */
    private function refilled(array $loose, ?array $order = null, ?Repaired $from = null): Repaired
    {
        return $this->refilledWithin(PHP_INT_MAX, $loose, $order, $from) ?? throw new \LogicException('Nothing costs more than that.');
    }

    /**
     * The same, but null if it costs more than a limit: then it is not laid to its end.
     *
     * @param  array<int, true>  $loose
     * @param  list<int>|null  $order
     */
    private function refilledWithin(int $limit, array $loose, ?array $order = null, ?Repaired $from = null): ?Repaired
    {
        do {
            $this->left--;
            $base = clone ($from === null ? $this->kept : $from->base);
            foreach ($from === null ? $loose : array_diff_key($loose, $from->loose) as $task => $isLoose) {
                $base->giveBack($task);
            }
            $movable = $this->rest + $loose;
            if ($order === null || count($order) !== count($movable)) {
                $order = $this->byUrgency($movable);
            }
            [$ends, $value, $tooEarly] = $this->fill(clone $base, $order, $this->bound($movable), $limit);
            if ($ends === null) {
                return null;
            }
            $loose += $tooEarly === null ? [] : [$tooEarly => true];
        } while ($tooEarly !== null);

        return new Repaired($loose, $order, $base, $ends, $value);
    }

    /**
     * @param  array<int, true>  $tasks
     * @return list<int>
     */
    private function byUrgency(array $tasks): array
    {
        $sorted = [];
        foreach ($this->order as $task) {
            if (isset($tasks[$task])) {
                $sorted[] = $task;
            }
        }

        return $sorted;
    }

    /**
     * What a plan costs at the very least in which these are moved.
     *
     * @param  array<int, true>  $movable
     */
    private function bound(array $movable): int
    {
        $bound = 0;
        foreach ($this->least as $task => $least) {
            $bound += isset($movable[$task]) ? $least : $this->damage[$task];
        }

        return $bound;
    }

    /**
     * @param  list<int>  $order
     * @param  int  $value  what it costs at the very least
     * @return array{array<int, int>|null, int, int|null} when each is finished (−1 never; null: it is above the limit), what
     *                                                    the plan costs with what moved, and a kept task that would begin
     *                                                    before one of these ends
     */
    private function fill(Timetable $table, array $order, int $value, int $limit): array
    {
        $ends = [];
        foreach ($order as $task) {
            $table->placeWhole($task);
            $ends[$task] = $table->last;
            $value += $this->damageOf($task, $table->last) - $this->least[$task];
            if (isset($this->of->previousBlocks[$task])) {
                $value += $this->price * $this->of->moved($task, [...$table->keptOf($task), ...$table->laid]);
            }
            if ($value > $limit && ! $this->mayLoosenMore($table, $order, count($ends))) {
                return [null, $value, null];
            }
            foreach ($this->of->successors[$task] as $next) {
                $first = isset($ends[$next]) ? null : $table->firstKept($next);
                if ($first !== null && ($table->last < 0 || $table->last > $first)) {
                    return [$ends, $value, $next];
                }
            }
        }

        return [$ends, $value, null];
    }

    /**
     * True if one of the tasks yet to lay, or the last, comes before something that is kept.
     *
     * @param  list<int>  $order
     */
    private function mayLoosenMore(Timetable $table, array $order, int $laid): bool
    {
        for ($i = $laid - 1; $i < count($order); $i++) {
            foreach ($this->of->successors[$order[$i]] as $next) {
                if ($table->firstKept($next) !== null) {
                    return true;
                }
            }
        }

        return false;
    }

    /** What a task costs, and no less than in the last plan. */
    private function damageOf(int $task, int $finish): int
    {
        return max($this->of->cost($task, $finish >= 0 ? $finish : $this->of->problem->end + $this->of->minutes[$task]), $this->content[$task] ?? 0);
    }

    /**
     * The first way to loosen more that makes the whole better; null if none is found. Where one group is not enough,
     * what it displaced is helped next, in the few most promising states (a beam search).
     */
    private function loosened(Repaired $best): ?Repaired
    {
        $beam = [$best];
        $seen = [];
        $better = null;
        $more = 0;
        for ($depth = 0; $depth < self::DEPTH; $depth++) {
            $next = [];
            foreach ($beam as $state) {
                foreach (array_slice($this->groups($state), 0, $depth === 0 ? self::TRIED_FIRST : self::TRIED) as $group) {
                    $loose = $state->loose + array_fill_keys($group, true);
                    ksort($loose);
                    $name = implode(',', array_keys($loose));
                    if (isset($seen[$name]) || isset($this->failed[$name])) {
                        continue;
                    }
                    if ($this->left <= 0) {
                        return $better;
                    }
                    $seen[$name] = true;
                    $found = $this->refilledWithin($better->value ?? $next[self::BEAM - 1]->value ?? PHP_INT_MAX, $loose, null, $state);
                    if ($found !== null) {
                        $better = $found->value < ($better ?? $best)->value ? $found : $better;
                        $next[] = $found;
                        usort($next, static fn (Repaired $a, Repaired $b): int => $a->value <=> $b->value);
                        $next = array_slice($next, 0, self::BEAM);
                    }
                    if ($better !== null && ++$more > self::MORE) {
                        return $better;
                    }
                }
            }
            if ($better !== null) {
                return $better;
            }
            $beam = $next;
        }
        $this->failed += $seen;

        return null;
    }

    /**
     * Loosens all that lies in a stretch of time before something that fares worse, orders it anew, and takes back what
     * moved needlessly (a large neighbourhood search; P. Shaw, "Using constraint programming and local search methods to
     * solve vehicle routing problems", CP 1998).
     */
    private function stirred(Repaired $best): Repaired
    {
        do {
            $improved = false;
            foreach ($this->stretches($best) as $group) {
                if ($this->left <= self::RESERVE) {
                    return $best;
                }
                $state = $this->refilled($best->loose + array_fill_keys($group, true), null, $best);
                $order = (new OrderSearch($this->of, $state->base))->best([$state->order], self::STIR);
                $this->left -= self::STIR;
                $state = $this->refilledWithin((int) ($best->value + self::NEARLY * abs($best->value)), $state->loose, $order, $state);
                $state = $state === null ? $best : $this->withoutNeedless($state, $order);
                if ($state->value < $best->value) {
                    $best = $state;
                    $improved = true;

                    break;
                }
            }
        } while ($improved);

        return $best;
    }

    /** @return array<int, int> tasks that could be loosened, by the starts of their kept blocks in order of time */
    private function keptTimes(Repaired $best): array
    {
        $times = [];
        foreach (array_keys(array_diff_key($this->damage, $best->loose, $this->fixed)) as $task) {
            foreach ($best->base->keptOf($task) as [$start]) {
                $times[$start] = $task;
            }
        }
        ksort($times);

        return $times;
    }

    /** @return list<list<int>> tasks that lie one after another, each stretch half over the one before it */
    private function stretches(Repaired $best): array
    {
        $times = $this->keptTimes($best);
        $last = 0;
        foreach (array_keys($this->worse($best)) as $task) {
            $last = max($last, $best->ends[$task] >= 0 ? $best->ends[$task] : $this->of->problem->end);
        }
        $row = array_values(array_filter($times, static fn (int $start): bool => $start < $last, ARRAY_FILTER_USE_KEY));
        $stretches = [];
        for ($i = 0; $i < count($row); $i += intdiv(self::STRETCH, 2)) {
            $stretches[] = array_values(array_unique(array_slice($row, $i, self::STRETCH)));
        }

        return $stretches;
    }

    /** @return list<list<int>> tasks that lie one after another before something that fares worse ends, the easiest to move first */
    private function groups(Repaired $best): array
    {
        $times = $this->keptTimes($best);
        $groups = [];
        foreach ($this->worse($best) as $task => $worse) {
            $lane = $this->of->lane[$task];
            $end = $best->ends[$task] >= 0 ? $best->ends[$task] : $this->of->problem->end;
            $row = [];
            $size = max(1, $this->of->minutes[$task]);
            foreach ($times as $start => $other) {
                if ($start >= $end) {
                    break;
                }
                if (! isset($this->of->lanes->with[$lane][$this->of->lane[$other]])) {
                    continue;
                }
                $row = [...array_slice($row, 1 - self::TOGETHER), $other];
                for ($i = 1; $i <= count($row); $i++) {
                    $group = array_values(array_unique(array_slice($row, -$i)));
                    [$effort, $minutes] = $this->effort($group, $best);
                    // room enough: it could end about here; else as much of the loss remains as is missing
                    $loss = $minutes >= $size ? max(0, $this->of->cost($task, $start + $size) - ($this->content[$task] ?? 0)) : 0;
                    $gain = (int) (min(1.0, $minutes / $size) * $worse) - $loss - $effort;
                    sort($group);
                    $name = implode(',', $group);
                    if ($gain > ($groups[$name][0] ?? -PHP_INT_MAX)) {
                        $groups[$name] = [$gain, $group];
                    }
                    if ($minutes >= $size) {
                        break;
                    }
                }
            }
        }
        usort($groups, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_column($groups, 1);
    }

    /** @return array<int, int> by task: how much worse it fares than before, the worst first */
    private function worse(Repaired $best): array
    {
        $worse = [];
        foreach ($best->ends as $task => $end) {
            $loss = $this->damageOf($task, $end) - max($this->content[$task] ?? 0, $this->of->alone($task));
            if ($loss > 0) {
                $worse[$task] = $loss;
            }
        }
        arsort($worse);

        return array_slice($worse, 0, self::HELPED, true);
    }

    /**
     * What moving them would cost: their minutes, and a delay.
     *
     * @param  list<int>  $group
     * @return array{int, int} and their minutes
     */
    private function effort(array $group, Repaired $best): array
    {
        $effort = $all = 0;
        foreach ($group as $task) {
            $minutes = $end = 0;
            foreach ($best->base->keptOf($task) as [$start, $until]) {
                $minutes += $until - $start;
                $end = max($end, $until);
            }
            $all += $minutes;
            $effort += $this->price * $minutes + max(0, $this->of->cost($task, $end + self::DELAY) - max($this->content[$task] ?? 0, $this->of->cost($task, $end)));
        }

        return [$effort, $all];
    }

    /**
     * What was loosened early may have become needless by what was loosened later.
     *
     * @param  list<int>|null  $order  of what is loose; by urgency if null
     */
    private function withoutNeedless(Repaired $best, ?array $order = null): Repaired
    {
        foreach (array_keys($best->loose) as $task) {
            $order = $order === null ? null : array_values(array_diff($best->order, [$task]));
            $best = $this->refilledWithin($best->value, array_diff_key($best->loose, [$task => true]), $order) ?? $best;
        }

        return $best;
    }
}
