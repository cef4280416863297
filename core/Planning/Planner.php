<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Plan\Tempo;
use Nekto\Core\Planning\Arranging\Arrangement;
use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\FreeTime;
use Nekto\Core\Planning\Layout\PlanBuilder;
use Nekto\Core\Planning\Layout\Timetable;
use Nekto\Core\Planning\Mending\Mender;
use Nekto\Core\Planning\Order\OrderSearch;
use Nekto\Core\Planning\Order\Sequence;
use Nekto\Core\Planning\Order\UrgencyOrder;
use Nekto\Core\Planning\Promises\Commitments;
use Nekto\Core\Planning\Promises\Gathering;
use Nekto\Core\Planning\Promises\HabitTasks;
use Nekto\Core\Planning\Repair\Repair;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;

/**
 * Places tasks in open time. The same problem always gives the same plan.
 *
 * Tasks are laid one after another, each into the earliest time it may have; a plan is decided by their order. Rules give
 * orders to begin with (UrgencyOrder), which are improved (OrderSearch). What was promised comes first (Commitments). A
 * previous plan is mended (Mender), or given up as readily as the tempo says (Repair).
 */
final readonly class Planner
{
    /** Look-ahead values that are tried, in average tasks; the rule's best value depends on how tight the dates are. */
    private const LOOK_AHEAD = [1.0, 2.0, 4.0, 8.0];

    /** Shares of the time until a due date that the other rule keeps free. */
    private const RESERVES = [0.06, 0.15];

    /** So many of the orders to begin with are gone on with; as REPAIR tuned, see bench/sweep.md. */
    private const STARTS = 6;

    /** The rules take quadratic time, so a problem of more tasks than this gets fewer of them. */
    private const MANY = 300;

    /** Orders that may be laid out by default: of few tasks they take least, and are stuck most easily. */
    private const FEW = 70;

    private const EFFORT_FOR_FEW = 2400;

    private const EFFORT = 1900;

    private const LEAST = 40;

    /** Tasks placed in all of them: beyond 400 tasks; and, times the tasks, beyond 1,000, where each takes longer to place. */
    private const PLACED = 775_000;

    private const PLACED_OF_MANY = 800_000_000;

    /** Of more tasks than this only the best of them is gone on with: each takes a second and more. */
    private const VERY_MANY = 600;

    /** A repair has fewer choices: it takes this share of the effort. */
    private const REPAIR = 0.68;

    /** What a repair is given by default, before its share is taken. */
    private const EFFORT_TO_REPAIR = 1300;

    /** A repair of more tasks than this is given less: whoever moved a block waits for it. Each order takes longer, and more of them are tried in vain. */
    private const REPAIRED_AT_LEISURE = 150;

    /**
     * @param  int|null  $effort  orders that may be laid out while improving; 0 takes the best of two to begin with: a quick
     *                            first answer; null: what is quick enough for someone who waits, by the number of tasks
     * @param  list<string>|null  $from  tasks in an order to begin with, such as that of a plan at hand, predecessors first;
     *                                   null: orders that rules give
     * @param  int  $chance  the sequence of chance; to measure whether an answer leans on it
     * @param  bool  $arranged  false for whoever only wants to know what gets late: no day is put in the order that its person
     *                          likes
     */
    public function __construct(private ?int $effort = null, private ?array $from = null, private int $chance = OrderSearch::CHANCE, private bool $arranged = true) {}

    /** Lack of time is an answer, not an error: what finds no place is in Plan::$unplaced. */
    public function plan(PlanningProblem $problem): Plan
    {
        $habits = new HabitTasks($problem);
        $gathering = new Gathering($habits->problem);
        $whole = $gathering->problem;
        $free = new FreeTime($whole);
        $compiled = new Compiled($whole, $free);
        if ($problem->hasPrevious() && $problem->tempo === Tempo::Calm) {
            $order = $this->orders($compiled, quick: true)[0];
            $plan = (new Mender($compiled, $free, $habits->times))->plan($order);

            return $gathering->spread($this->withReasons($this->arranged($plan, $compiled, $free, $order, $habits), $whole, $free, $habits));
        }
        $effort = $this->effort ?? self::effortFor($problem);
        $quick = $effort === 0 || ($problem->hasPrevious() && $problem->tempo !== Tempo::Eager && count($problem->tasks) > self::REPAIRED_AT_LEISURE); // a repair takes but one of them
        $orders = $this->from === null ? $this->orders($compiled, $quick) : [(new UrgencyOrder($compiled))->asGiven($this->from)];
        $commitments = new Commitments($compiled, $orders[0], $habits->times);
        $out = array_fill_keys($commitments->without, true);
        $orders = array_map(static fn (array $order): array => array_values(array_filter($order, static fn (int $task): bool => ! isset($out[$task]))), $orders);
        [$base, $order] = $this->solve($compiled, $commitments->table, $orders, $effort);
        $plan = (new PlanBuilder($compiled, $base))->plan($order, $commitments->without);

        return $gathering->spread($this->withReasons($this->arranged($plan, $compiled, $free, $orders[0], $habits), $whole, $free, $habits));
    }

    /**
     * Every day of a plan that is laid out anew begins as the person likes it; of one that is mended only the day that was
     * asked for, and not once it has begun.
     *
     * @param  list<int>  $order  by urgency
     */
    private function arranged(Plan $plan, Compiled $compiled, FreeTime $free, array $order, HabitTasks $habits): Plan
    {
        $problem = $compiled->problem;
        $laidOut = $problem->dayLaidOut();
        if (! $this->arranged || $problem->begins === null || ($problem->hasPrevious() && $laidOut === null)) {
            return $plan;
        }
        $days = [];
        foreach ($problem->hasPrevious() ? [] : $plan->blocks as $block) {
            $day = $problem->zone->dayOf($block->time->start);
            $block->time->start >= $problem->first && $days[$day->number] = $day;
        }

        return (new Arrangement($compiled, $free, $order, $habits->times))->of($plan, $problem->hasPrevious() && $laidOut !== null ? [$laidOut] : array_values($days));
    }

    private function withReasons(Plan $plan, PlanningProblem $problem, FreeTime $free, HabitTasks $habits): Plan
    {
        return new Plan($plan->blocks, $plan->unplaced, (new Reasons($problem, $plan, $free, $habits->times))->all(), self::between($plan, $free->breaks));
    }

    /**
     * What takes about 0.3 s for 120 tasks and 1.2 s for 500 on one of today's cores, with the interpreter's compiler on.
     * Beyond, each order takes longer by more than its tasks, so that what is limited is what is placed in all.
     */
    private static function effortFor(PlanningProblem $problem): int
    {
        $tasks = max(1, count($problem->tasks));

        if ($problem->hasPrevious()) {
            return (int) (self::EFFORT_TO_REPAIR * min(1.0, self::REPAIRED_AT_LEISURE / $tasks) ** 3);
        }

        return min($tasks <= self::FEW ? self::EFFORT_FOR_FEW : self::EFFORT, intdiv(self::PLACED, $tasks), max(self::LEAST, intdiv(self::PLACED_OF_MANY, $tasks ** 2)));
    }

    /**
     * @param  non-empty-list<list<int>>  $orders
     * @return array{Timetable, list<int>} what stays, and the order in which the others are laid around it
     */
    private function solve(Compiled $compiled, Timetable $base, array $orders, int $effort): array
    {
        $problem = $compiled->problem;
        $calm = null;
        if ($problem->hasPrevious()) {
            $calm = (new Repair($compiled, $base, $orders[0], $problem->tempo === Tempo::Even ? Repair::PRICE : 0, (int) ($effort * self::REPAIR)))->solve();
            if ($problem->tempo !== Tempo::Eager) {
                return $calm;
            }
        }
        $fresh = [$base, (new OrderSearch($compiled, $base, $this->chance))->best($orders, $effort)];

        return $calm !== null && Sequence::costOf(...$calm) <= Sequence::costOf(...$fresh) ? $calm : $fresh;
    }

    /** @return non-empty-list<list<int>> orders that the rules give, the best first */
    private function orders(Compiled $compiled, bool $quick): array
    {
        $rule = new UrgencyOrder($compiled);
        $few = $quick || count($compiled->ids) > self::MANY;
        $orders = [$rule->byDueDate()];
        foreach ($few ? array_slice(self::RESERVES, 0, 1) : self::RESERVES as $reserve) {
            $orders[] = $rule->fromTheEnd($reserve);
        }
        foreach ($few ? array_slice(self::LOOK_AHEAD, 1, $quick ? 0 : 2) : self::LOOK_AHEAD as $lookAhead) {
            $orders[] = $rule->byTardinessCost($lookAhead);
        }
        $table = new Timetable($compiled);
        $ranked = array_map(static fn (array $order): array => [Sequence::costOf($table, $order), $order], $orders);
        usort($ranked, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_slice(array_column($ranked, 1), 0, count($compiled->ids) > self::VERY_MANY ? 1 : self::STARTS);
    }

    /** @return list<Interval> of the rests those that lie between two blocks */
    private static function between(Plan $plan, IntervalSet $rests): array
    {
        $starts = $ends = [];
        foreach ($plan->blocks as $block) {
            $starts[$block->time->start] = $ends[$block->time->end] = true;
        }

        return array_values(array_filter(
            $rests->intervals,
            static fn (Interval $rest): bool => isset($ends[$rest->start], $starts[$rest->end]),
        ));
    }
}
