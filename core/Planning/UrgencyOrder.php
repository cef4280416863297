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
 * open minutes of each set of hours, so a weekend is no slack; work in one set moves the clock of another on by the share
 * of time they have in common. A predecessor is as urgent as what waits for it. O(n²).
 */
final readonly class UrgencyOrder
{
    /** The share of a minute's completion in the objective, as in bench/README.md. */
    private const COMPLETION = 0.05;

    /** @var array<Timeline> by set of hours */
    private array $open;

    /** @var array<array<float>> how much a minute of work in the first set takes from the second */
    private array $share;

    public function __construct(private PlanningProblem $problem)
    {
        $taken = $problem->busy->union(IntervalSet::covering(
            ...array_map(static fn (Block $block): Interval => $block->time, $problem->anchored),
        ));
        $hours = array_map(
            static fn (IntervalSet $hours): IntervalSet => $hours->without($taken)->between($problem->first, $problem->end),
            $problem->hours,
        );
        $this->open = array_map(static fn (IntervalSet $set): Timeline => new Timeline($set), $hours);
        $share = [];
        foreach ($hours as $from => $worked) {
            foreach ($hours as $to => $other) {
                $share[$from][$to] = $worked->intersection($other)->length() / max(1, $worked->length());
            }
        }
        $this->share = $share;
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
        $clock = array_map(static fn (): float => 0.0, $this->open);
        while ($left !== []) {
            $best = null;
            $most = -1.0;
            foreach ($left as $id => $task) {
                if ($open[$id] === 0 && ($index = $this->index($task, $due[$id], $clock[$task->hours], $lookAhead * $average)) > $most) {
                    [$best, $most] = [$task, $index];
                }
            }
            if ($best === null) {
                break; // cannot be: the problem has no cycle
            }
            $order[] = $best;
            foreach ($this->share[$best->hours] as $set => $share) {
                $clock[$set] += $share * $best->minutes;
            }
            unset($left[$best->id]);
            foreach ($waiting[$best->id] ?? [] as $id) {
                $open[$id]--;
            }
        }

        return $order;
    }

    /**
     * From the last place to the first: of the tasks that nothing waits for any more, the one that costs least for each
     * of its minutes if it is finished last. Where all can be in time this is best for weighted completion under
     * deadlines on one machine (W. E. Smith, "Various optimizers for single-stage production", Naval Research Logistics
     * Quarterly 3, 1956, section 5). Good where few tasks are late; order() is good where many are. O(n²).
     *
     * @param  float  $reserve  the share of the time until each due date that is kept free, since gaps cannot be filled
     * @return list<Task>
     */
    public function backward(float $reserve): array
    {
        $left = $waiting = [];
        $clock = array_map(static fn (): float => 0.0, $this->open);
        foreach ($this->problem->tasks as $task) {
            $left[$task->id] = $task;
            foreach ($task->after as $name) {
                $waiting[$name] = ($waiting[$name] ?? 0) + 1;
            }
            foreach ($this->share[$task->hours] as $set => $share) {
                $clock[$set] += $share * $task->minutes;
            }
        }
        $due = [];
        foreach ($this->problem->tasks as $task) {
            $due[$task->id] = $task->due === null ? INF : (1 - $reserve) * $this->open[$task->hours]->position($task->due->at);
        }
        $order = [];
        while ($left !== []) {
            $best = null;
            $least = INF;
            foreach ($left as $id => $task) {
                $end = $clock[$task->hours];
                $cost = self::COMPLETION * $end + ($end > $due[$id] ? ($end - $due[$id]) * ($task->due?->factor() ?? 0) : 0);
                $cost *= $task->importance->weight() / $task->minutes;
                if (($waiting[$id] ?? 0) === 0 && $cost < $least) {
                    [$best, $least] = [$task, $cost];
                }
            }
            if ($best === null) {
                break; // cannot be: the problem has no cycle
            }
            $order[] = $best;
            unset($left[$best->id]);
            foreach ($this->share[$best->hours] as $set => $share) {
                $clock[$set] -= $share * $best->minutes;
            }
            foreach ($best->after as $name) {
                $waiting[$name]--;
            }
        }

        return array_reverse($order);
    }

    /** @param  array{int, float}|null  $due  open minutes until it, and the weight of a late minute */
    private function index(Task $task, ?array $due, float $clock, float $scale): float
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
