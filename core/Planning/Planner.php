<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

use Nekto\Core\Task\Task;

/**
 * Places tasks in open time. The same problem always gives the same plan.
 *
 * Afresh: tasks are laid one after another into the earliest time they may have, in several orders of urgency; the best
 * order is then improved by moving one task at a time to an earlier place (insertion moves, first improvement).
 * With a previous plan: see Repair.
 */
final readonly class Planner
{
    /** Look-ahead values that are tried, in average tasks; the rule's best value depends on how tight the dates are. */
    private const LOOK_AHEAD = [0.5, 1.0, 2.0, 4.0, 8.0, 16.0];

    /** The same for many tasks, where each order takes long. */
    private const LOOK_AHEAD_OF_MANY = 8.0;

    private const MANY = 200;

    /** Shares of the time until a due date that the other rule keeps free. */
    private const RESERVES = [0.02, 0.06, 0.1, 0.15, 0.2];

    /** @param  int  $effort  drafts that may be evaluated while improving; 0 takes the best of the given orders */
    public function __construct(private int $effort = 1000) {}

    /** Lack of time is an answer, not an error: what finds no place is in Plan::$unplaced. */
    public function plan(PlanningProblem $problem): Plan
    {
        $free = new FreeTime($problem);
        $rule = new UrgencyOrder($problem);
        $compiled = new Compiled($problem, $free);
        $order = $this->bestStart($compiled, $rule);
        $draft = $problem->hasPrevious()
            ? (new Repair($compiled, $this->effort))->draft($order, $free)
            : $this->afresh($compiled, $order, $free);
        $plan = $draft->toPlan();

        return new Plan($plan->blocks, $plan->unplaced, (new Reasons($problem, $plan))->all());
    }

    /** @param  list<int>  $order */
    private function afresh(Compiled $compiled, array $order, FreeTime $free): Draft
    {
        $draft = new Draft($compiled->problem, $free);
        foreach ((new OrderSearch($compiled))->improve($order, $this->effort) as $task) {
            $draft->place($compiled->problem->tasks[$task]);
        }
        $draft->layRests();

        return $draft;
    }

    /** @return list<int> tasks, in the order of the rules that comes out best */
    private function bestStart(Compiled $compiled, UrgencyOrder $rule): array
    {
        $index = array_flip($compiled->ids);
        $best = [];
        $least = PHP_INT_MAX;
        foreach ($this->starts($compiled->problem, $rule) as $start) {
            $order = array_map(static fn (Task $task): int => $index[$task->id], $start);
            $table = new Timetable($compiled);
            foreach ($order as $task) {
                $table->place($task);
            }
            if ($table->cost < $least) {
                [$best, $least] = [$order, $table->cost];
            }
        }

        return $best;
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
