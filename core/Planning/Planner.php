<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

use Nekto\Core\Task\Task;

/**
 * Places tasks in open time. The same problem always gives the same plan.
 *
 * Tasks are laid one after another, each into the earliest time it may have; a plan is decided by their order. Two rules
 * give orders to begin with (UrgencyOrder), the best few are improved (OrderSearch). With a previous plan see Repair.
 */
final readonly class Planner
{
    /** Look-ahead values that are tried, in average tasks; the rule's best value depends on how tight the dates are. */
    private const LOOK_AHEAD = [0.5, 1.0, 2.0, 4.0, 8.0, 16.0];

    /** The same for many tasks, where each order takes long. */
    private const LOOK_AHEAD_OF_MANY = 8.0;

    private const MANY = 200;

    /** A repair has fewer choices: it takes this part of the effort, twice at most. */
    private const REPAIR = 4;

    /** So many of the orders to begin with are tried, with together 1/TRIAL of the effort, before one is improved. */
    private const TRIED = 3;

    private const TRIAL = 3;

    /** Shares of the time until a due date that the other rule keeps free. */
    private const RESERVES = [0.02, 0.06, 0.1, 0.15, 0.2];

    /** What is quick enough for someone who waits for an answer. */
    public const EFFORT = 1000;

    /** @param  int  $effort  moves that may be evaluated while improving; 0 takes the best of the orders to begin with */
    public function __construct(private int $effort = self::EFFORT) {}

    /** Lack of time is an answer, not an error: what finds no place is in Plan::$unplaced. */
    public function plan(PlanningProblem $problem): Plan
    {
        $free = new FreeTime($problem);
        $rule = new UrgencyOrder($problem);
        $compiled = new Compiled($problem, $free);
        $starts = $this->ranked($compiled, $rule);
        $draft = $problem->hasPrevious()
            ? (new Repair($compiled, intdiv($this->effort, self::REPAIR)))->draft($starts[0], $free)
            : $this->afresh($compiled, $starts, $free);
        $plan = $draft->toPlan();

        return new Plan($plan->blocks, $plan->unplaced, (new Reasons($problem, $plan))->all());
    }

    /** @param  non-empty-list<list<int>>  $starts  the best first */
    private function afresh(Compiled $compiled, array $starts, FreeTime $free): Draft
    {
        $search = new OrderSearch($compiled);
        $trial = intdiv($this->effort, self::TRIAL * self::TRIED);
        $best = [];
        $least = PHP_INT_MAX;
        foreach (array_slice($starts, 0, self::TRIED) as $start) {
            $order = $search->improve($start, $trial);
            $cost = self::cost($compiled, $order);
            if ($cost < $least) {
                [$best, $least] = [$order, $cost];
            }
        }
        $draft = new Draft($compiled->problem, $free);
        foreach ($search->improve($best, $this->effort - self::TRIED * $trial) as $task) {
            $draft->place($compiled->problem->tasks[$task]);
        }
        $draft->layRests();

        return $draft;
    }

    /** @return non-empty-list<list<int>> orders that the rules give, the best first */
    private function ranked(Compiled $compiled, UrgencyOrder $rule): array
    {
        $index = array_flip($compiled->ids);
        $orders = $costs = [];
        foreach ($this->starts($compiled->problem, $rule) as $start) {
            $order = array_map(static fn (Task $task): int => $index[$task->id], $start);
            $orders[] = $order;
            $costs[] = self::cost($compiled, $order);
        }
        asort($costs);
        $ranked = array_map(static fn (int $i): array => $orders[$i], array_keys($costs));

        return $ranked === [] ? [[]] : array_values(array_unique($ranked, SORT_REGULAR));
    }

    /** @param  list<int>  $order */
    private static function cost(Compiled $compiled, array $order): int
    {
        $table = new Timetable($compiled);
        foreach ($order as $task) {
            $table->place($task);
        }

        return $table->cost;
    }

    /**
     * Orders to begin with. Each takes quadratic time, so a large problem gets fewer.
     *
     * @return \Generator<list<Task>>
     */
    private function starts(PlanningProblem $problem, UrgencyOrder $rule): \Generator
    {
        foreach (self::RESERVES as $reserve) {
            yield $rule->backward($reserve);
        }
        foreach (count($problem->tasks) > self::MANY ? [self::LOOK_AHEAD_OF_MANY] : self::LOOK_AHEAD as $lookAhead) {
            yield $rule->order($lookAhead);
        }
    }
}
