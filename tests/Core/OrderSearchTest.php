<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Plan\Unplaced;
use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\FreeTime;
use Nekto\Core\Planning\Layout\PlanBuilder;
use Nekto\Core\Planning\Layout\Timetable;
use Nekto\Core\Planning\Order\OrderSearch;
use Nekto\Core\Planning\Order\UrgencyOrder;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Prospect\Outcome;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** The search and what it stands on, compared with the slow and obvious. */
final class OrderSearchTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function a_clone_goes_its_own_way(): void
    {
        $compiled = self::compiled(RandomProblem::of(7));
        $table = new Timetable($compiled);
        $table->placeWhole(0);
        $clone = clone $table;
        $before = serialize([$table->room->free->starts, $table->room->free->ends, $table->cost]);
        foreach ([1, 2, 3] as $task) {
            $clone->finish += array_fill(0, 8, $compiled->problem->now);
            $clone->placeWhole($task);
        }

        self::assertSame($before, serialize([$table->room->free->starts, $table->room->free->ends, $table->cost]));
        self::assertFalse($clone->isLike($table));
    }

    #[Test]
    public function time_that_is_given_back_is_free_for_everything_as_before(): void
    {
        $this->limitTo(Runs::of(150))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $problem = RandomProblem::of($seed, repair: true);
            $compiled = self::compiled($problem);
            $fresh = new Timetable($compiled);
            $table = new Timetable($compiled);
            $kept = [];
            foreach ($problem->previous as $block) {
                $task = $compiled->index[$block->task];
                $start = $problem->aligned($block->time->start);
                if ($table->room->accepts($task, $start, $start + 30)) {
                    $table->keep($task, $start, $start + 30);
                    $kept[] = $task;
                }
            }
            shuffle($kept);
            foreach ($kept as $task) {
                $table->giveBack($task);
            }
            foreach ($compiled->sorted() as $task) {
                $fresh->placeWhole($task);
                $table->placeWhole($task);
                self::assertSame([$fresh->last, $fresh->laid], [$table->last, $table->laid]);
            }
        });
    }

    /** The search is no proof: it gives up moves that promise nothing. On fixed problems it must stay this good. */
    #[Test]
    public function of_five_tasks_the_best_order_of_all_is_nearly_always_found(): void
    {
        $exact = 0;
        for ($seed = 1; $seed <= 60; $seed++) {
            $compiled = self::compiled(self::ofFive($seed));
            $found = self::cost($compiled, (new OrderSearch($compiled))->best([self::start($compiled)], 600));
            $best = min(array_map(static fn (array $order): int => self::cost($compiled, $order), self::orders($compiled)));
            $exact += $found === $best ? 1 : 0;

            self::assertGreaterThanOrEqual($best, $found, "seed {$seed}");
            self::assertLessThanOrEqual(1.05 * $best, $found, "seed {$seed}");
        }

        self::assertGreaterThanOrEqual(58, $exact);
    }

    #[Test]
    public function the_search_makes_nothing_worse_and_keeps_predecessors_first(): void
    {
        $this->limitTo(Runs::of(40))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $compiled = self::compiled(RandomProblem::of($seed));
            $start = self::start($compiled);
            $found = (new OrderSearch($compiled))->best([$start], 150);

            self::assertLessThanOrEqual(self::cost($compiled, $start), self::cost($compiled, $found));
            self::assertTrue(self::isSorted($compiled, $found));
            self::assertEqualsCanonicalizing(array_keys($compiled->ids), $found);
            self::assertSame($found, (new OrderSearch($compiled))->best([$start], 150), 'the same again');
        });
    }

    #[Test]
    public function no_plan_is_worse_than_the_earliest_due_date_first(): void
    {
        $this->limitTo(Runs::of(120))->forAll(Generators::choose(1, 1_000_000), Generators::choose(0, 60))->then(function (int $seed, int $effort): void {
            $problem = RandomProblem::of($seed);
            $compiled = self::compiled($problem);
            $plan = (new Planner($effort))->plan($problem);
            $byDueDate = (new PlanBuilder($compiled, new Timetable($compiled)))->plan((new UrgencyOrder($compiled))->byDueDate());

            self::assertLessThanOrEqual(self::judged($problem, $byDueDate), self::judged($problem, $plan));
        });
    }

    #[Test]
    public function the_cost_the_search_believes_in_is_the_true_one(): void
    {
        $this->limitTo(Runs::of(40))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $compiled = self::compiled(RandomProblem::of($seed));
            $costs = [];
            foreach ([5, 20, 60, 200] as $moves) {
                $costs[] = self::cost($compiled, (new OrderSearch($compiled))->best([self::start($compiled)], $moves));
            }
            $sorted = $costs;
            rsort($sorted);

            self::assertSame($sorted, $costs, 'more moves never end worse');
        });
    }

    #[Test]
    public function without_dates_tasks_go_by_weight_over_minutes(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')
            ->task('long', 120, Importance::High)->task('short', 30, Importance::High)->task('vital', 120, Importance::Vital)->task('low', 60, Importance::Low)->build();
        $rule = new UrgencyOrder(self::compiled($problem));

        foreach ([$rule->byTardinessCost(2.0), $rule->fromTheEnd(0.1)] as $order) {
            self::assertSame(['short', 'vital', 'long', 'low'], self::names($problem, $order));
        }
    }

    #[Test]
    public function from_the_end_a_task_waits_as_long_as_its_date_allows(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 13:00')
            ->task('dated', 60, Importance::Low, due: 'Mon 11:00')->task('free', 60, Importance::High)->task('later', 60, Importance::Low)->build();

        self::assertSame(['free', 'dated', 'later'], self::names($problem, (new UrgencyOrder(self::compiled($problem)))->fromTheEnd(0.0)));
    }

    #[Test]
    public function all_rules_put_predecessors_first(): void
    {
        $this->limitTo(Runs::of(40))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $problem = RandomProblem::of($seed);
            $compiled = self::compiled($problem);
            $rule = new UrgencyOrder($compiled);
            foreach ([$rule->byTardinessCost(0.5), $rule->byTardinessCost(8.0), $rule->fromTheEnd(0.0), $rule->fromTheEnd(0.2), $rule->byDueDate()] as $order) {
                self::assertTrue(self::isSorted($compiled, $order));
                self::assertEqualsCanonicalizing(array_keys($compiled->ids), $order);
            }
        });
    }

    #[Test]
    public function work_in_other_hours_does_not_move_the_clock_of_these(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 11:00')->open('Mon 18:00', 'Mon 22:00', 'Evenings')
            ->task('read', 240, Importance::Vital, hours: 'Evenings')
            ->task('dated', 60, Importance::Low, due: 'Mon 11:00')->task('free', 60, Importance::High)->build();
        $order = self::names($problem, (new UrgencyOrder(self::compiled($problem)))->fromTheEnd(0.0));

        self::assertLessThan(array_search('dated', $order, true), array_search('free', $order, true), 'the date can still wait an hour');
    }

    private static function compiled(PlanningProblem $problem): Compiled
    {
        return new Compiled($problem, new FreeTime($problem));
    }

    /**
     * @param  list<int>  $order
     * @return list<string>
     */
    private static function names(PlanningProblem $problem, array $order): array
    {
        return array_map(static fn (int $task): string => $problem->tasks[$task]->id, $order);
    }

    /** What a plan costs, with all that its rests cannot change: a task without a place for all of its time counts by all of it. */
    private static function judged(PlanningProblem $problem, Plan $plan): int
    {
        $outcome = new Outcome($problem, new Plan($plan->blocks, array_map(static function (Unplaced $one) use ($problem): Unplaced {
            $task = $problem->tasks[(int) array_search($one->task, array_column(array_map(static fn ($known): array => ['id' => $known->id], $problem->tasks), 'id'), true)];
            $fixed = array_sum(array_map(static fn ($block): int => $block->task === $task->id ? $block->time->length() : 0, $problem->anchored));

            return new Unplaced($one->task, $task->minutes - $fixed, $one->reason);
        }, $plan->unplaced)));

        return $outcome->cost;
    }

    private static function ofFive(int $seed): PlanningProblem
    {
        $whole = RandomProblem::of($seed);

        return $whole->with(tasks: array_slice($whole->tasks, 0, 5), previous: []);
    }

    /** @return list<int> */
    private static function start(Compiled $compiled): array
    {
        return (new UrgencyOrder($compiled))->byTardinessCost(2.0);
    }

    /** @param  list<int>  $order */
    private static function cost(Compiled $compiled, array $order): int
    {
        $table = new Timetable($compiled);
        foreach ($order as $task) {
            $table->placeWhole($task);
        }

        return $table->cost;
    }

    /** @return non-empty-list<list<int>> all orders that keep predecessors first */
    private static function orders(Compiled $compiled): array
    {
        $orders = [[]];
        foreach (array_keys($compiled->ids) as $task) {
            $longer = [];
            foreach ($orders as $order) {
                for ($i = 0; $i <= count($order); $i++) {
                    $longer[] = [...array_slice($order, 0, $i), $task, ...array_slice($order, $i)];
                }
            }
            $orders = $longer;
        }
        $sorted = array_values(array_filter($orders, static fn (array $order): bool => self::isSorted($compiled, $order)));
        self::assertNotSame([], $sorted);

        return $sorted;
    }

    /** @param  list<int>  $order */
    private static function isSorted(Compiled $compiled, array $order): bool
    {
        $place = array_flip($order);
        foreach ($order as $at => $task) {
            foreach ($compiled->predecessors[$task] as $before) {
                if ($place[$before] > $at) {
                    return false;
                }
            }
        }

        return true;
    }
}
