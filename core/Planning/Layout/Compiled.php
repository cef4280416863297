<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Layout;

use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\FinishCost;

/**
 * A problem as bare numbers, tasks and lanes by index, for the many evaluations of a search. Everything is on the step's
 * grid. Costs are in twentieths of a minute.
 */
final readonly class Compiled
{
    public Lanes $lanes;

    /** @var list<string> task ids */
    public array $ids;

    /** @var array<string, int> index by task id */
    public array $index;

    /** @var list<int> minutes to place, beside anchored blocks */
    public array $minutes;

    /** @var list<int> minutes that no block can have, beside anchored blocks of odd length */
    public array $odd;

    /** @var list<int> lane */
    public array $lane;

    /** @var list<int> the lane it would rather use; −1 for none */
    public array $rather;

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

    /** @var list<bool> true if some limit of a day holds for it */
    public array $limited;

    /** @var list<bool> true if it has no place until somebody answers */
    public array $barred;

    /** @var list<int> first moment it may begin, on the grid */
    public array $release;

    /** @var list<list<int>> predecessors */
    public array $predecessors;

    /** @var list<list<int>> tasks that come after each */
    public array $successors;

    /** @var array<int, array<int, true>> all that must be finished before each, however far back */
    public array $allPredecessors;

    /** @var array<int, array<int, true>> all that wait for each, however far on */
    public array $allSuccessors;

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

    /** @var array<int, list<array{int, int}>> by task: future blocks of the last plan */
    public array $previousBlocks;

    /** @var list<int> by lane: the least minutes of any block in it; a shorter gap is of no use */
    public array $useful;

    public function __construct(public PlanningProblem $problem, FreeTime $free)
    {
        $this->lanes = new Lanes($problem, $free);
        $index = $anchored = [];
        foreach ($problem->tasks as $i => $task) {
            $index[$task->id] = $i;
        }
        foreach ($problem->anchored as $block) {
            $anchored[$block->task][] = [$block->time->start, $block->time->end];
        }
        $minutes = $odd = $lane = $rather = $least = $most = $easy = $allChunks = $deep = $barred = [];
        $release = $predecessors = $weight = $lateness = $due = $anchoredEnd = $apart = $ids = [];
        $successors = array_fill(0, count($problem->tasks), []);
        $useful = array_fill(0, count($free->windows), PHP_INT_MAX);
        foreach ($problem->tasks as $i => $task) {
            $own = $anchored[$task->id] ?? [];
            $left = max(0, $task->minutes - array_sum(array_map(static fn (array $time): int => $time[1] - $time[0], $own)));
            $chunks = new Chunks($task, max(1, $left), $problem->step);
            $ids[] = $task->id;
            $minutes[] = $left - $left % $problem->step;
            $odd[] = $left % $problem->step;
            $lane[] = $free->lane[$task->id];
            $rather[] = $free->rather[$task->id] ?? -1;
            $least[] = $chunks->least;
            $most[] = $chunks->most;
            $easy[] = 2 * $chunks->least <= $chunks->most;
            $allChunks[] = $chunks;
            $deep[] = $task->demand === Demand::Deep;
            $barred[] = $task->waiting;
            $release[] = $problem->aligned(max($problem->frozenUntil, $task->notBefore ?? 0));
            $predecessors[] = array_map(static fn (string $id): int => $index[$id], array_values(array_unique($task->after)));
            $weight[] = $task->importance->weight();
            $lateness[] = $task->lateness();
            $due[] = $task->due->at ?? PHP_INT_MAX;
            $anchoredEnd[] = $own === [] ? 0 : max(array_column($own, 1));
            $apart[] = $own;
            foreach ($predecessors[$i] as $before) {
                $successors[$before][] = $i;
            }
            foreach ([$lane[$i], $rather[$i]] as $used) {
                if ($used >= 0) {
                    $useful[$used] = min($useful[$used], $chunks->least);
                }
            }
        }
        $this->ids = $ids;
        $this->index = $index;
        $previous = [];
        foreach ($problem->previous as $block) {
            if (isset($index[$block->task]) && ! $block->anchored && $block->time->start >= $problem->first) {
                $previous[$index[$block->task]][] = [$block->time->start, $block->time->end];
            }
        }
        $this->previousBlocks = $previous;
        $this->minutes = $minutes;
        $this->odd = $odd;
        $this->lane = $lane;
        $this->rather = $rather;
        $this->least = $least;
        $this->most = $most;
        $this->easy = $easy;
        $this->chunks = $allChunks;
        $this->deep = $deep;
        $this->barred = $barred;
        $this->limited = array_map(fn (bool $isDeep): bool => $this->lanes->dayLimited || $this->lanes->setLimited || ($isDeep && $this->lanes->deepLimited), $deep);
        $this->release = $release;
        $this->predecessors = $predecessors;
        $this->successors = $successors;
        $this->allPredecessors = self::reach($predecessors);
        $this->allSuccessors = self::reach($this->successors);
        $this->weight = $weight;
        $this->lateness = $lateness;
        $this->due = $due;
        $this->anchoredEnd = $anchoredEnd;
        $this->apart = $apart;
        $this->useful = array_values($useful);
    }

    /** What finishing a task at that moment costs. */
    public function cost(int $task, int $finish): int
    {
        return FinishCost::of($this->weight[$task], $this->lateness[$task], $this->due[$task], $this->problem->now, $finish);
    }

    /** What a task costs if it has all time for itself: it never costs less. */
    public function alone(int $task): int
    {
        return $this->cost($task, max($this->release[$task], $this->problem->now) + $this->minutes[$task]);
    }

    /**
     * Minutes of the last plan, from now on, at which a task does not lie any more.
     *
     * @param  list<array{int, int}>  $now  where it lies
     */
    public function moved(int $task, array $now): int
    {
        $moved = 0;
        foreach ($this->previousBlocks[$task] ?? [] as [$start, $end]) {
            $moved += $end - $start;
            foreach ($now as [$from, $until]) {
                $moved -= max(0, min($end, $until) - max($start, $from));
            }
        }

        return $moved;
    }

    /** Of so many minutes that are left of a task those to lay where some are wanted: whole steps, with a rest that makes a block. */
    public function share(int $task, int $wanted, int $left): int
    {
        $share = intdiv(max(0, min($wanted, $left)), $this->problem->step) * $this->problem->step;

        return $share < $left && $left - $share < $this->least[$task] ? $left - $this->least[$task] : $share;
    }

    /** @return list<int> all tasks, predecessors first and otherwise as they are given */
    public function sorted(): array
    {
        $open = array_map(count(...), $this->predecessors);
        $order = array_keys(array_filter($open, static fn (int $count): bool => $count === 0));
        for ($i = 0; isset($order[$i]); $i++) {
            foreach ($this->successors[$order[$i]] as $next) {
                if (--$open[$next] === 0) {
                    $order[] = $next;
                }
            }
        }

        return $order;
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
}
