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

    /** @param  int  $effort  drafts that may be evaluated while improving; 0 takes the best of the given orders */
    public function __construct(private int $effort = 160) {}

    /** Lack of time is an answer, not an error: what finds no place is in Plan::$unplaced. */
    public function plan(PlanningProblem $problem): Plan
    {
        $free = new FreeTime($problem);
        $rule = new UrgencyOrder($problem);
        $draft = $problem->hasPrevious()
            ? (new Repair($problem, $free, $this->effort))->draft($rule->order(2.0))
            : $this->afresh($problem, $free, $rule);
        $plan = $draft->toPlan();

        return new Plan($plan->blocks, $plan->unplaced, (new Reasons($problem, $plan))->all());
    }

    private function afresh(PlanningProblem $problem, FreeTime $free, UrgencyOrder $rule): Draft
    {
        $order = $rule->order(self::LOOK_AHEAD[0]);
        $best = self::lay($problem, $free, $order);
        foreach (array_slice(self::LOOK_AHEAD, 1) as $lookAhead) {
            $candidate = $rule->order($lookAhead);
            $draft = self::lay($problem, $free, $candidate);
            if ($draft->cost() < $best->cost()) {
                [$best, $order] = [$draft, $candidate];
            }
        }

        return $this->improve($problem, $free, $order, $best);
    }

    /**
     * @param  list<Task>  $order
     */
    private function improve(PlanningProblem $problem, FreeTime $free, array $order, Draft $best): Draft
    {
        $left = count($order) < 2 ? 0 : $this->effort;
        $quiet = 0;
        for ($at = 1; $left > 0 && $quiet < count($order); $at = $at + 1 < count($order) ? $at + 1 : 1) {
            $quiet++;
            foreach (self::earlierPlaces($order, $at) as $to) {
                if ($left-- <= 0) {
                    break;
                }
                $candidate = $order;
                array_splice($candidate, $at, 1);
                array_splice($candidate, $to, 0, [$order[$at]]);
                $draft = self::lay($problem, $free, $candidate);
                if ($draft->cost() < $best->cost()) {
                    [$best, $order, $quiet] = [$draft, $candidate, 0];
                    break;
                }
            }
        }

        return $best;
    }

    /**
     * Places before $at where the task there may go without passing a predecessor: the next one, then ever further.
     *
     * @param  list<Task>  $order
     * @return list<int>
     */
    private static function earlierPlaces(array $order, int $at): array
    {
        $places = [];
        for ($distance = 1; $at - $distance >= 0; $distance *= 2) {
            for ($i = $at - $distance; $i < $at; $i++) {
                if (in_array($order[$i]->id, $order[$at]->after, true)) {
                    return $places;
                }
            }
            $places[] = $at - $distance;
        }

        return $places;
    }

    /** @param  list<Task>  $order */
    private static function lay(PlanningProblem $problem, FreeTime $free, array $order): Draft
    {
        $draft = new Draft($problem, $free);
        foreach ($order as $task) {
            $draft->place($task);
        }

        return $draft;
    }
}
