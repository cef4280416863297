<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

use Nekto\Core\Task\Demand;

/**
 * A problem as bare numbers, tasks and sets of hours by index, for the many evaluations of a search. Everything is on
 * the step's grid. Costs are in twentieths of a minute.
 */
final readonly class Compiled
{
    /** @var list<int> minutes to place, beside anchored blocks */
    public array $minutes;

    /** @var list<int> minutes that no block can have, beside anchored blocks of odd length */
    public array $odd;

    /** @var list<int> set of hours */
    public array $set;

    /** @var list<int> least minutes of a block */
    public array $least;

    /** @var list<int> most minutes of a block */
    public array $most;

    /** @var list<bool> true if every rest of at least the least block can be divided */
    public array $easy;

    /** @var list<Chunks> */
    public array $chunks;

    /** @var list<bool> */
    public array $deep;

    /** @var list<int> first moment it may begin, on the grid */
    public array $release;

    /** @var list<list<int>> predecessors */
    public array $after;

    /** @var list<int> cost of a minute until it is finished */
    public array $weight;

    /** @var list<int> cost of a minute of lateness */
    public array $lateness;

    /** @var list<int> due moment; PHP_INT_MAX for none */
    public array $due;

    /** @var list<int> end of its last anchored block; 0 for none */
    public array $anchoredEnd;

    /** @var list<list<array{int, int}>> its anchored blocks, which its other blocks must not touch */
    public array $apart;

    /** @var list<list<int>> by set: starts of its free windows */
    public array $starts;

    /** @var list<list<int>> by set: ends of its free windows */
    public array $ends;

    /** @var list<list<int>> by set: days of its free windows */
    public array $days;

    /** @var array<int, list<int>> by set: the other sets whose windows share time with its own */
    public array $shares;

    /** True if some day has a limit of any kind. */
    public bool $limited;

    /** @var array<int, int> the most minutes by day */
    public array $dayLimit;

    /** @var array<int, int> the most deep minutes by day */
    public array $deepLimit;

    /** @var array<int, array<int, int>> the most minutes by set and day */
    public array $setLimit;

    /** @var list<list<int>> tasks that come after each */
    public array $followers;

    /** @var array<int, array<int, true>> all that must be finished before each, however far back */
    public array $allBefore;

    /** @var array<int, array<int, true>> all that wait for each, however far on */
    public array $allAfter;

    /** @var list<string> task ids */
    public array $ids;

    public function __construct(public PlanningProblem $problem, FreeTime $free)
    {
        $sets = array_map(strval(...), array_keys($free->windows));
        $setIndex = array_flip($sets);
        $index = $anchored = [];
        foreach ($problem->tasks as $i => $task) {
            $index[$task->id] = $i;
        }
        foreach ($problem->anchored as $block) {
            $anchored[$block->task][] = [$block->time->start, $block->time->end];
        }
        $column = [];
        foreach (['minutes', 'odd', 'set', 'least', 'most', 'easy', 'chunks', 'deep', 'release', 'after', 'weight', 'lateness', 'due', 'anchoredEnd', 'apart', 'ids'] as $name) {
            $column[$name] = [];
        }
        $followers = array_fill(0, count($problem->tasks), []);
        foreach ($problem->tasks as $task) {
            $own = $anchored[$task->id] ?? [];
            $left = max(0, $task->minutes - array_sum(array_map(static fn (array $time): int => $time[1] - $time[0], $own)));
            $chunks = new Chunks($task, max(1, $left), $problem->step);
            $column['minutes'][] = $left - $left % $problem->step;
            $column['odd'][] = $left % $problem->step;
            $column['set'][] = $setIndex[$task->hours];
            $column['least'][] = $chunks->least;
            $column['most'][] = $chunks->most;
            $column['easy'][] = 2 * $chunks->least <= $chunks->most;
            $column['chunks'][] = $chunks;
            $column['deep'][] = $task->demand === Demand::Deep;
            $column['release'][] = self::aligned($problem, max($problem->first, $task->notBefore ?? 0));
            $column['after'][] = array_map(static fn (string $id): int => $index[$id], $task->after);
            $column['weight'][] = $task->importance->weight();
            $column['lateness'][] = 20 * $task->importance->weight() * ($task->due?->factor() ?? 0);
            $column['due'][] = $task->due->at ?? PHP_INT_MAX;
            $column['anchoredEnd'][] = $own === [] ? 0 : max(array_column($own, 1));
            $column['apart'][] = $own;
            $column['ids'][] = $task->id;
            foreach ($task->after as $id) {
                $followers[$index[$id]][] = $index[$task->id];
            }
        }
        $this->minutes = $column['minutes'];
        $this->odd = $column['odd'];
        $this->set = $column['set'];
        $this->least = $column['least'];
        $this->most = $column['most'];
        $this->easy = $column['easy'];
        $this->chunks = $column['chunks'];
        $this->deep = $column['deep'];
        $this->release = $column['release'];
        $this->after = $column['after'];
        $this->followers = $followers;
        $this->allBefore = self::reach($column['after']);
        $this->allAfter = self::reach($followers);
        $this->weight = $column['weight'];
        $this->lateness = $column['lateness'];
        $this->due = $column['due'];
        $this->anchoredEnd = $column['anchoredEnd'];
        $this->apart = $column['apart'];
        $this->ids = $column['ids'];
        $windows = array_values($free->windows);
        $this->starts = array_map(static fn (array $set): array => array_column($set, 0), $windows);
        $this->ends = array_map(static fn (array $set): array => array_column($set, 1), $windows);
        $this->days = array_map(static fn (array $set): array => array_column($set, 2), $windows);
        $this->shares = self::shared($windows);
        $this->limited = ! $problem->dayLimit->isNone() || ! $problem->deepLimit->isNone() || $problem->hoursLimits !== [];
        $dayLimit = $deepLimit = $setLimit = [];
        foreach ($this->days as $set => $days) {
            $limit = $problem->hoursLimits[$sets[$set]] ?? new DayLimit;
            $setLimit[$set] = [];
            foreach ($days as $day) {
                $dayLimit[$day] = $problem->dayLimit->on($day);
                $deepLimit[$day] = $problem->deepLimit->on($day);
                $setLimit[$set][$day] = $limit->on($day);
            }
        }
        $this->dayLimit = $dayLimit;
        $this->deepLimit = $deepLimit;
        $this->setLimit = $setLimit;
    }

    /** What finishing a task at that moment costs. */
    public function cost(int $task, int $finish): int
    {
        $late = $finish > $this->due[$task] ? ($finish - $this->due[$task]) * $this->lateness[$task] : 0;

        return $late + $this->weight[$task] * ($finish - $this->problem->now);
    }

    private static function aligned(PlanningProblem $problem, int $minute): int
    {
        return $minute + (-$problem->zone->minuteOfDay($minute) % $problem->step + $problem->step) % $problem->step;
    }

    /**
     * @param  list<list<int>>  $next
     * @return array<int, array<int, true>> what can be reached from each
     */
    private static function reach(array $next): array
    {
        $reached = [];
        foreach ($next as $task => $stack) {
            $seen = [];
            while ($stack !== []) {
                $other = array_pop($stack);
                if (! isset($seen[$other])) {
                    $seen[$other] = true;
                    array_push($stack, ...$next[$other]);
                }
            }
            $reached[$task] = $seen;
        }

        return $reached;
    }

    /**
     * @param  list<list<array{int, int, int}>>  $windows
     * @return array<int, list<int>>
     */
    private static function shared(array $windows): array
    {
        $shares = [];
        foreach ($windows as $a => $mine) {
            $shares[$a] = [];
            foreach ($windows as $b => $others) {
                if ($a !== $b && self::overlap($mine, $others)) {
                    $shares[$a][] = $b;
                }
            }
        }

        return $shares;
    }

    /**
     * @param  list<array{int, int, int}>  $a
     * @param  list<array{int, int, int}>  $b
     */
    private static function overlap(array $a, array $b): bool
    {
        $i = $j = 0;
        while ($i < count($a) && $j < count($b)) {
            if ($a[$i][0] < $b[$j][1] && $b[$j][0] < $a[$i][1]) {
                return true;
            }
            $a[$i][1] < $b[$j][1] ? $i++ : $j++;
        }

        return false;
    }
}
