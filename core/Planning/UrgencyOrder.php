<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\Timeline;

/**
 * Orders tasks by apparent tardiness cost: weight ÷ minutes, discounted exponentially by the slack that is left when
 * the earlier ones are done (A. P. J. Vepsäläinen and T. E. Morton, "Priority rules for job shops with weighted
 * tardiness costs", Management Science 33(8), 1987), plus the small completion term of our objective. Time runs in
 * open minutes, so a weekend is no slack. A predecessor is as urgent as what waits for it. O(n²).
 */
final readonly class UrgencyOrder
{
    /** The share of a minute's completion in the objective, as in bench/README.md. */
    private const COMPLETION = 0.05;

    /** @var array<Timeline> by set of hours */
    private array $open;

    public function __construct(private PlanningProblem $problem)
    {
        $taken = $problem->busy->union(IntervalSet::covering(
            ...array_map(static fn (Block $block): Interval => $block->time, $problem->anchored),
        ));
        $this->open = array_map(
            static fn (IntervalSet $hours): Timeline => new Timeline($hours->without($taken)->between($problem->first, $problem->end)),
            $problem->hours,
        );
    }

    /**
     * Predecessors always stand before what comes after them.
     *
     * @param  float  $lookAhead  how far the rule sees, in average tasks; near 0 it looks only at what is nearly late
     * @return list<Task>
     */
    public function order(float $lookAhead): array
    {
        $tasks = $this->problem->tasks;
        if ($tasks === []) {
            return [];
        }
        $average = array_sum(array_map(static fn (Task $task): int => $task->minutes, $tasks)) / count($tasks);
        $due = $this->effectiveDues();
        $waiting = $open = [];
        foreach ($tasks as $task) {
            $open[$task->id] = count($task->after);
            foreach ($task->after as $name) {
                $waiting[$name][] = $task->id;
            }
        }
        $left = [];
        foreach ($tasks as $task) {
            $left[$task->id] = $task;
        }
        $order = [];
        $clock = 0;
        while ($left !== []) {
            $best = null;
            $most = -1.0;
            foreach ($left as $id => $task) {
                if ($open[$id] === 0 && ($index = $this->index($task, $due[$id], $clock, $lookAhead * $average)) > $most) {
                    [$best, $most] = [$task, $index];
                }
            }
            if ($best === null) {
                break; // cannot be: the problem has no cycle
            }
            $order[] = $best;
            $clock += $best->minutes;
            unset($left[$best->id]);
            foreach ($waiting[$best->id] ?? [] as $id) {
                $open[$id]--;
            }
        }

        return $order;
    }

    /** @param  array{int, float}|null  $due  open minutes until it, and the weight of a late minute */
    private function index(Task $task, ?array $due, int $clock, float $scale): float
    {
        $rate = self::COMPLETION * $task->importance->weight();
        if ($due !== null) {
            $slack = max(0, $due[0] - $task->minutes - $clock);
            $rate += $due[1] * exp(-$slack / max(1.0, $scale));
        }
        if ($task->notBefore !== null && $this->open[$task->hours]->position($task->notBefore) > $clock) {
            $rate *= 0.5;
        }

        return $rate / $task->minutes;
    }

    /**
     * For each task the position of the date it must be done by, its own or what its successors need, and the weight
     * that hangs on it.
     *
     * @return array<string, array{int, float}|null>
     */
    private function effectiveDues(): array
    {
        $due = [];
        foreach ($this->problem->tasks as $task) {
            $due[$task->id] = $task->due === null ? null : [
                $this->open[$task->hours]->position($task->due->at),
                (float) ($task->importance->weight() * $task->due->factor()),
            ];
        }
        foreach (array_reverse(Precedence::sorted($this->problem->tasks)) as $task) {
            $own = $due[$task->id];
            if ($own === null) {
                continue;
            }
            foreach ($task->after as $name) {
                $needed = $own[0] - $task->minutes;
                $known = $due[$name] ?? [PHP_INT_MAX, 0.0];
                $due[$name] = [min($known[0], $needed), max($known[1], $own[1])];
            }
        }

        return $due;
    }
}
