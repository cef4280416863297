<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Prospect\Flow\MaxFlow;
use Nekto\Core\Prospect\Flow\Overload;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\DueDate;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\Zone;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** What surely has no place in time: never more than any plan needs, and what a person would reckon. */
final class OverloadTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function what_flows_is_what_the_narrowest_cut_lets_through(): void
    {
        $flow = new MaxFlow;
        [$a, $b] = [$flow->node(), $flow->node()];
        $flow->edge(MaxFlow::SOURCE, $a, 10);
        $flow->edge(MaxFlow::SOURCE, $b, 5);
        $flow->edge($a, $b, 15);
        $flow->edge($a, MaxFlow::SINK, 4);
        $out = $flow->edge($b, MaxFlow::SINK, 8);
        $flow->run();
        self::assertSame(12, $flow->flow);
        self::assertSame([0, 2, 3], self::sorted(array_keys($flow->before())));

        $flow->widen($out, 20);
        $flow->run();
        self::assertSame(15, $flow->flow, 'it goes on from what flowed before');
    }

    /** Of all ways to part the nodes, the narrowest lets through just what flows; those that could still be reached are one side of it. */
    #[Test]
    public function no_cut_is_narrower_than_what_flows(): void
    {
        $this->limitTo(Runs::of(120))->forAll(Generators::choose(1, 1_000_000))->disableShrinking()->then(function (int $seed): void {
            mt_srand($seed);
            $flow = new MaxFlow;
            $nodes = [MaxFlow::SOURCE, MaxFlow::SINK, $flow->node(), $flow->node(), $flow->node(), $flow->node()];
            $edges = [];
            for ($i = 0; $i < 12; $i++) {
                [$from, $to, $capacity] = [$nodes[mt_rand(0, 5)], $nodes[mt_rand(0, 5)], mt_rand(0, 20)];
                if ($from !== $to) {
                    $edges[] = [$from, $to, $capacity];
                    $flow->edge($from, $to, $capacity);
                }
                mt_rand(0, 2) === 0 && $flow->run(); // edges may be added after a flow was found
            }
            $flow->run();
            $through = static fn (array $before): int => array_sum(array_map(static fn (array $edge): int => isset($before[$edge[0]]) && ! isset($before[$edge[1]]) ? $edge[2] : 0, $edges));
            $narrowest = PHP_INT_MAX;
            for ($side = 0; $side < 16; $side++) {
                $before = [MaxFlow::SOURCE => true] + array_filter([2 => ($side & 1) > 0, 3 => ($side & 2) > 0, 4 => ($side & 4) > 0, 5 => ($side & 8) > 0]);
                $narrowest = min($narrowest, $through($before));
            }

            self::assertSame($narrowest, $flow->flow);
            self::assertSame($narrowest, $through($flow->before()));
        });
    }

    #[Test]
    public function a_day_carries_its_open_time_its_line_and_its_deep_limit(): void
    {
        $day = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->task('Essay', minutes: 120, due: 'Mon 17:00', deep: true)->task('Proofs', minutes: 90, due: 'Mon 17:00', deep: true);

        self::assertSame(30, self::missing($day->build()));
        self::assertSame(90, self::missing($day->deepLimit(120)->build()));
        self::assertSame(110, self::missing($day->dayLimit(100)->build()));
    }

    #[Test]
    public function a_stretch_that_is_too_short_for_any_block_is_no_time(): void
    {
        $day = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 09:25')->open('Mon 10:00', 'Mon 11:00')->task('Essay', minutes: 85, due: 'Mon 17:00', least: 30);

        self::assertSame(25, self::missing($day->build()));
        self::assertSame(0, self::missing($day->task('Quotes', minutes: 5, due: 'Mon 17:00', least: 5)->build()) - 25, 'who is short enough may use it');
    }

    #[Test]
    public function sets_of_hours_that_share_time_have_it_once(): void
    {
        $day = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->open('Mon 10:00', 'Mon 13:00', 'Home')
            ->task('Essay', minutes: 180, due: 'Mon 17:00')->task('Bicycle', minutes: 120, due: 'Mon 17:00', hours: 'Home');

        self::assertSame(60, self::missing($day->build()));
    }

    /** Deep work of the office does not flow into evenings that have none. */
    #[Test]
    public function deep_work_stays_in_its_hours(): void
    {
        $day = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 11:00')->open('Mon 12:00', 'Mon 14:00', 'Home')->deepLimit(180)
            ->task('Essay', minutes: 180, due: 'Mon 17:00', deep: true)->task('Bicycle', minutes: 60, due: 'Mon 17:00', hours: 'Home');

        self::assertSame(60, self::missing($day->build()));
    }

    #[Test]
    public function what_is_due_later_and_what_waits_takes_nothing(): void
    {
        $day = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 11:00')->open('Tue 09:00', 'Tue 11:00')
            ->task('Essay', minutes: 120, due: 'Mon 17:00')->task('Proofs', minutes: 180, due: 'Tue 17:00');

        self::assertSame(0, Overload::of($day->build(), ProblemBuilder::minute('Mon 17:00'))->missing);
        $tuesday = Overload::of($day->build(), ProblemBuilder::minute('Tue 17:00'));
        self::assertSame([60, ['Essay', 'Proofs']], [$tuesday->missing, self::sorted(array_keys($tuesday->competing))]);

        $tasks = [...$day->build()->tasks, new Task('Answer', 600, Importance::High, 'Office', new DueDate(ProblemBuilder::minute('Mon 17:00')), waiting: true)];
        self::assertSame(60, Overload::of($day->build()->with(tasks: $tasks), ProblemBuilder::minute('Tue 17:00'))->missing);
    }

    #[Test]
    public function only_those_compete_that_could_give_time_to_it(): void
    {
        $day = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 11:00')->open('Mon 18:00', 'Mon 20:00', 'Home')
            ->task('Essay', minutes: 90, due: 'Mon 21:00')->task('Proofs', minutes: 60, due: 'Mon 21:00')->task('Bicycle', minutes: 60, due: 'Mon 21:00', hours: 'Home');
        $found = Overload::of($day->build(), ProblemBuilder::minute('Mon 21:00'));

        self::assertSame([30, ['Essay', 'Proofs']], [$found->missing, self::sorted(array_keys($found->competing))]);
    }

    /** Every way to fill half hours with a few tasks is tried: the best of them leaves no less undone than the flow says. */
    #[Test]
    public function it_never_says_more_than_the_best_plan_needs(): void
    {
        $told = $exact = 0;
        $this->limitTo(Runs::of(150))->forAll(Generators::choose(1, 1_000_000))->disableShrinking()->then(function (int $seed) use (&$told, &$exact): void {
            $problem = self::small($seed);
            $until = ProblemBuilder::minute('Tue 17:00');
            $missing = Overload::of($problem, $until)->missing;
            $best = self::leastUndone($problem);

            self::assertLessThanOrEqual($best, $missing, "seed {$seed}");
            $told += $missing > 0 ? 1 : 0;
            $exact += $missing === $best ? 1 : 0;
        });

        self::assertGreaterThan(40, $told, 'the property was looked at');
        self::assertGreaterThan(90, $exact, 'most of it is known without planning');
    }

    #[Test]
    public function no_plan_of_any_problem_does_more_in_time_than_flows(): void
    {
        $told = 0;
        $this->limitTo(Runs::of(150))->forAll(Generators::choose(1, 1_000_000))->disableShrinking()->then(function (int $seed) use (&$told): void {
            $problem = RandomProblem::of($seed);
            $plan = (new Planner(effort: 20))->plan($problem);
            foreach (array_filter(array_map(static fn (Task $task): ?int => $task->due?->at, $problem->tasks)) as $until) {
                $missing = Overload::of($problem, $until)->missing;
                $undone = 0;
                foreach ($problem->tasks as $task) {
                    $due = $task->due->at ?? PHP_INT_MAX;
                    $by = $due <= $problem->first ? $until : $due;
                    $inTime = array_sum(array_map(static fn (Block $block): int => $block->anchored || $block->time->end <= $by ? $block->time->length() : 0, $plan->blocksOf($task->id)));
                    $undone += $due <= $until ? max(0, $task->minutes - $inTime) : 0;
                }
                self::assertLessThanOrEqual($undone, $missing, "seed {$seed}");
                $told += $missing > 0 ? 1 : 0;
            }
        });

        self::assertGreaterThan(20, $told, 'the property was looked at');
    }

    private static function missing(PlanningProblem $problem): int
    {
        return Overload::of($problem, ProblemBuilder::minute('Mon 17:00'))->missing;
    }

    /**
     * @template T of int|string
     *
     * @param  list<T>  $values
     * @return list<T>
     */
    private static function sorted(array $values): array
    {
        sort($values);

        return $values;
    }

    /** Two short days of half hours, three tasks, limits now and then. */
    private static function small(int $seed): PlanningProblem
    {
        mt_srand($seed);
        $tasks = [];
        foreach (['a', 'b', 'c'] as $id) {
            $tasks[] = new Task(
                $id, 30 * mt_rand(1, 5), Importance::Medium, mt_rand(0, 3) === 0 ? 'Home' : 'Office', new DueDate(ProblemBuilder::minute(['Mon 10:30', 'Mon 17:00', 'Tue 10:00', 'Tue 17:00'][mt_rand(0, 3)])),
                notBefore: mt_rand(0, 3) === 0 ? ProblemBuilder::minute('Mon 10:00') : null, minChunk: 30 * mt_rand(1, 2), maxChunk: 240, demand: mt_rand(0, 1) === 0 ? Demand::Deep : Demand::Light,
            );
        }

        return new PlanningProblem(
            zone: new Zone('UTC'), now: ProblemBuilder::minute('Mon 08:00'), end: ProblemBuilder::minute('Wed 00:00'), step: 30,
            hours: [
                'Office' => IntervalSet::covering(ProblemBuilder::interval('Mon 09:00', 'Mon 11:00'), ProblemBuilder::interval('Tue 09:00', 'Tue 10:30')),
                'Home' => IntervalSet::covering(ProblemBuilder::interval('Mon 10:30', 'Mon 11:30')),
            ],
            busy: mt_rand(0, 2) === 0 ? IntervalSet::covering(ProblemBuilder::interval('Mon 09:30', 'Mon 10:00')) : IntervalSet::empty(),
            tasks: $tasks, dayLimit: new DayLimit(mt_rand(0, 2) === 0 ? 90 : null), deepLimit: new DayLimit(mt_rand(0, 1) === 0 ? 60 : null),
        );
    }

    /** The fewest minutes that are not done in time, over all ways to give each half hour to a task or to none. */
    private static function leastUndone(PlanningProblem $problem): int
    {
        $slots = [];
        for ($at = $problem->first; $at < $problem->end; $at += 30) {
            foreach ($problem->hours as $hours) {
                if ($hours->contains($at) && ! $problem->busy->contains($at)) {
                    $slots[$at] = $at;
                }
            }
        }
        $all = array_sum(array_map(static fn (Task $task): int => $task->minutes, $problem->tasks));

        return $all - self::mostDone($problem, array_values($slots), []);
    }

    /**
     * @param  list<int>  $slots  half hours that are left
     * @param  array<int, int>  $given  task by half hour
     */
    private static function mostDone(PlanningProblem $problem, array $slots, array $given): int
    {
        if ($slots === []) {
            return self::isValid($problem, $given) ? 30 * count($given) : 0;
        }
        $at = array_shift($slots);
        $most = self::mostDone($problem, $slots, $given);
        foreach ($problem->tasks as $i => $task) {
            if ($problem->hours[$task->hours]->contains($at) && $at >= ($task->notBefore ?? 0) && $at + 30 <= ($task->due->at ?? 0) && 30 * count(array_keys($given, $i, true)) < $task->minutes) {
                $most = max($most, self::mostDone($problem, $slots, [$at => $i] + $given));
            }
        }

        return $most;
    }

    /** @param  array<int, int>  $given */
    private static function isValid(PlanningProblem $problem, array $given): bool
    {
        $day = $deep = [];
        foreach ($given as $at => $i) {
            $number = $problem->zone->dayOf($at)->number;
            $day[$number] = ($day[$number] ?? 0) + 30;
            $deep[$number] = ($deep[$number] ?? 0) + ($problem->tasks[$i]->demand === Demand::Deep ? 30 : 0);
            for ($start = $at; ($given[$start - 30] ?? null) === $i; $start -= 30) {
            }
            for ($end = $at; ($given[$end + 30] ?? null) === $i; $end += 30) {
            }
            if ($end + 30 - $start < min($problem->tasks[$i]->minChunk, $problem->tasks[$i]->minutes)) {
                return false;
            }
        }
        foreach ($day as $number => $minutes) {
            if ($minutes > $problem->dayLimit->on($number) || $deep[$number] > $problem->deepLimit->on($number)) {
                return false;
            }
        }

        return true;
    }
}
