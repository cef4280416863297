<?php

declare(strict_types=1);

namespace Nekto\Core\Day;

use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Planning\Layout\FreeTime;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;

/**
 * Days of a week that each fit: blocks go from a day that is over its load line or deep limit to one that has room for
 * them, whole, as few as are enough, to a day with work of the same kind if there is one, else to the nearest. Due dates,
 * earliest starts and what comes after what are kept; what is anchored or held stays. The fullest day is relieved first; of
 * as many blocks those go that are of the fewest minutes, and then of the least weight.
 */
final class Balance
{
    /** Of a day so many blocks may go together, and from so many they are chosen. */
    private const MOST_TOGETHER = 3;

    private const MOST_CHOICES = 14;

    /** @var list<BalanceMove> by their former time */
    public readonly array $moves;

    /** @var list<int> numbers of the days that stay over, ascending */
    public readonly array $stillOver;

    /** @var array<string, Task> */
    private array $tasks = [];

    /** @var array<string, list<string>> tasks that come after it, by task */
    private array $followers = [];

    /** @var array<int, Block> as they lie now, by their place in the plan */
    private array $blocks = [];

    private readonly DayFill $use;

    private readonly FreeTime $free;

    /**
     * @param  Plan  $plan  as it is laid out
     * @param  array<array<int, int>>  $lines  minutes that blocks which are not fixed may take under the load lines, by set of hours and day
     * @param  array<int, int>  $deepLimits  deep minutes that such may take, by day
     * @param  int  $first  number of the first day that is looked at
     * @param  int  $last  number of the last
     * @param  array<true>  $held  tasks whose blocks stay, by id
     * @param  array<string>  $kinds  what a task belongs together with, by id
     */
    public function __construct(private readonly PlanningProblem $problem, Plan $plan, array $lines, array $deepLimits, private readonly int $first, private readonly int $last, private readonly array $held = [], private readonly array $kinds = [])
    {
        foreach ($problem->tasks as $task) {
            $this->tasks[$task->id] = $task;
            foreach ($task->after as $before) {
                $this->followers[$before][] = $task->id;
            }
        }
        $this->use = new DayFill($problem, $lines, $deepLimits);
        $this->free = new FreeTime($problem);
        foreach ($plan->blocks as $block) {
            if (isset($this->tasks[$block->task])) {
                $this->blocks[] = $block;
                $this->use->count($block, $this->tasks[$block->task], $block->time->start);
            }
        }
        $moves = [];
        foreach ($this->overDays() as $day) {
            array_push($moves, ...$this->relieve($day));
        }
        usort($moves, static fn (BalanceMove $a, BalanceMove $b): int => $a->block->time->start <=> $b->block->time->start);
        $this->moves = $moves;
        $over = $this->overDays();
        sort($over);
        $this->stillOver = $over;
    }

    /** @return list<int> the fullest first */
    private function overDays(): array
    {
        $days = array_values(array_filter(range($this->first, $this->last), $this->use->isOver(...)));
        usort($days, fn (int $a, int $b): int => [$this->use->overLine($b) + $this->use->overDeep($b), $a] <=> [$this->use->overLine($a) + $this->use->overDeep($a), $b]);

        return $days;
    }

    /** @return list<BalanceMove> */
    private function relieve(int $day): array
    {
        $choices = $this->choices($day);
        foreach (range(1, self::MOST_TOGETHER) as $size) {
            foreach ($this->combinations($choices, $size) as $together) {
                $moves = $this->tryAll($together, $day);
                if ($moves !== null && ! $this->use->isOver($day)) {
                    return $moves;
                }
                $this->takeBack($moves ?? [], $together);
            }
        }

        return $this->relieveInPart($choices, $day);
    }

    /**
     * Where not all that is too much can go: one after another, what helps the most.
     *
     * @param  list<int>  $choices
     * @return list<BalanceMove>
     */
    private function relieveInPart(array $choices, int $day): array
    {
        $moves = [];
        foreach (array_reverse($choices) as $i) {
            if ($this->use->isOver($day)) {
                array_push($moves, ...$this->tryAll([$i], $day) ?? []);
            }
        }

        return $moves;
    }

    /** @return list<int> places in the plan of blocks that may go, the shortest and least important first */
    private function choices(int $day): array
    {
        $choices = [];
        foreach ($this->blocks as $i => $block) {
            if (! $block->anchored && ! isset($this->held[$block->task]) && $block->time->start >= $this->problem->first && $this->problem->zone->dayOf($block->time->start)->number === $day) {
                $choices[] = $i;
            }
        }
        $rank = fn (int $i): array => [$this->blocks[$i]->time->length(), $this->tasks[$this->blocks[$i]->task]->importance->weight(), $i];
        usort($choices, static fn (int $a, int $b): int => $rank($a) <=> $rank($b));

        return array_slice($choices, -self::MOST_CHOICES);
    }

    /**
     * @param  list<int>  $choices
     * @return list<list<int>> those of so many that relieve nothing less, the fewest minutes first
     */
    private function combinations(array $choices, int $size): array
    {
        /** @var list<list<int>> $all */
        $all = [[]];
        for ($n = 0; $n < $size; $n++) {
            $longer = [];
            foreach ($all as $some) {
                foreach ($choices as $place => $i) {
                    if ($some === [] || $place > array_search($some[count($some) - 1], $choices, true)) {
                        $longer[] = [...$some, $i];
                    }
                }
            }
            $all = $longer;
        }
        usort($all, fn (array $a, array $b): int => $this->cost($a) <=> $this->cost($b));

        return $all;
    }

    /**
     * @param  list<int>  $some
     * @return array{int, int} minutes, and weighted ones
     */
    private function cost(array $some): array
    {
        $minutes = $weighted = 0;
        foreach ($some as $i) {
            $minutes += $this->blocks[$i]->time->length();
            $weighted += $this->blocks[$i]->time->length() * $this->tasks[$this->blocks[$i]->task]->importance->weight();
        }

        return [$minutes, $weighted];
    }

    /**
     * Moves them; null, and nothing is moved, if one of them has no other place.
     *
     * @param  list<int>  $together
     * @return list<BalanceMove>|null
     */
    private function tryAll(array $together, int $day): ?array
    {
        $moves = [];
        foreach ($together as $n => $i) {
            $block = $this->blocks[$i];
            $task = $this->tasks[$block->task];
            $to = $this->place($i, $day);
            if ($to === null) {
                $this->takeBack($moves, array_slice($together, 0, $n));

                return null;
            }
            $moves[] = new BalanceMove($block, $to);
            $this->use->count($block, $task, $block->time->start, -1);
            $this->use->count($block, $task, $to->start);
            $this->blocks[$i] = new Block($block->task, $to, $block->anchored);
        }

        return $moves;
    }

    /**
     * @param  list<BalanceMove>  $moves
     * @param  list<int>  $together  whose moves they are
     */
    private function takeBack(array $moves, array $together): void
    {
        foreach ($moves as $n => $move) {
            $task = $this->tasks[$move->block->task];
            $this->use->count($move->block, $task, $move->to->start, -1);
            $this->use->count($move->block, $task, $move->block->time->start);
            $this->blocks[$together[$n]] = $move->block;
        }
    }

    /** The best place for a block on another day of the week; null if there is none. */
    private function place(int $i, int $from): ?Interval
    {
        $block = $this->blocks[$i];
        $task = $this->tasks[$block->task];
        [$earliest, $latest] = $this->bounds($task);
        $best = null;
        foreach ($this->free->windows[$this->free->lane[$task->id]] as [$start, $end, $day]) {
            if ($day < $this->first || $day > $this->last || $day === $from || ! $this->use->hasRoom($task, $day, $block->time->length())) {
                continue;
            }
            foreach ($this->gaps(max($start, $earliest), min($end, $latest), $i) as $gap) {
                $at = $this->within($gap, $block, $task, $i);
                $rank = $at === null ? null : [$this->isTogether($task, $day, $i) ? 0 : 1, abs($day - $from), $at->start];
                if ($at !== null && ($best === null || $rank < $best[0])) {
                    $best = [$rank, $at];
                }
            }
        }

        return $best[1] ?? null;
    }

    /** @return array{int, int} between which a block of it may lie */
    private function bounds(Task $task): array
    {
        $earliest = max($this->problem->first, $task->notBefore ?? 0);
        $latest = min($this->problem->end, max($task->due->at ?? PHP_INT_MAX, 0));
        foreach ($this->blocks as $block) {
            if (in_array($block->task, $task->after, true)) {
                $earliest = max($earliest, $block->time->end);
            }
            if (in_array($block->task, $this->followers[$task->id] ?? [], true)) {
                $latest = min($latest, $block->time->start);
            }
        }

        return [$earliest, $latest];
    }

    /** @return list<Interval> what no other block takes of that time */
    private function gaps(int $start, int $end, int $but): array
    {
        $gaps = [];
        $others = [];
        foreach ($this->blocks as $i => $block) {
            $i !== $but && $block->time->start < $end && $block->time->end > $start && $others[] = [$block->time->start, $block->time->end];
        }
        sort($others);
        foreach ([...$others, [$end, $end]] as [$from, $until]) {
            $from > $start && $gaps[] = new Interval($start, $from);
            $start = max($start, $until);
        }

        return $gaps;
    }

    /** In a gap, on the grid; not so that pieces of one task grow together to more than it may be. */
    private function within(Interval $gap, Block $block, Task $task, int $but): ?Interval
    {
        $step = $this->problem->step;
        $start = intdiv($gap->start + $step - 1, $step) * $step;
        if ($start + $block->time->length() > $gap->end) {
            return null;
        }
        $at = new Interval($start, $start + $block->time->length());
        $touching = $block->time->length();
        foreach ($this->blocks as $i => $other) {
            if ($i !== $but && $other->task === $task->id && ($other->time->end === $at->start || $other->time->start === $at->end)) {
                $touching += $other->time->length();
            }
        }

        return $touching > $block->time->length() && $touching > $task->maxChunk ? null : $at;
    }

    private function isTogether(Task $task, int $day, int $but): bool
    {
        $kind = $this->kinds[$task->id] ?? null;
        foreach ($kind === null ? [] : $this->blocks as $i => $other) {
            if ($i !== $but && ($this->kinds[$other->task] ?? null) === $kind && $this->problem->zone->dayOf($other->time->start)->number === $day) {
                return true;
            }
        }

        return false;
    }
}
