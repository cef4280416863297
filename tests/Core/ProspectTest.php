<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Prospect\Chances;
use Nekto\Core\Prospect\DuePoint;
use Nekto\Core\Prospect\Feasibility;
use Nekto\Core\Prospect\LatestStarts;
use Nekto\Core\Prospect\Outcome;
use Nekto\Core\Prospect\Ratios;
use Nekto\Core\Prospect\WaysOut;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\Interval;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** What a plan means for the due dates: known early, with ways out, slack and chances. */
final class ProspectTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function demand_and_supply_are_known_at_every_due_date_of_each_set_of_hours(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->open('Tue 09:00', 'Tue 12:00')->open('Mon 18:00', 'Mon 19:00', 'Evenings')->busy('Mon 09:00', 'Mon 10:00')
            ->task('Object list', minutes: 90, due: 'Mon 12:00')->task('Quotes', minutes: 60, due: 'Mon 12:00')->task('Report', minutes: 150, due: 'Tue 12:00')
            ->task('Run', minutes: 30, due: 'Mon 19:00', hours: 'Evenings')->task('Someday', minutes: 300)->build();
        $feasibility = new Feasibility($problem);

        self::assertSame([
            ['Office', 'Mon 12:00', 150, 120, 30], ['Evenings', 'Mon 19:00', 30, 60, 0], ['Office', 'Tue 12:00', 300, 300, 0],
        ], array_map(static fn (DuePoint $point): array => [$point->hours, ProblemBuilder::word($point->due), $point->demand, $point->supply, $point->missing()], $feasibility->points));
        self::assertSame(['Object list', 'Quotes'], $feasibility->firstCrunch()?->tasks);
    }

    #[Test]
    public function the_load_line_and_fixed_blocks_count_in_the_supply(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->open('Tue 09:00', 'Tue 12:00')->dayLimit(60)
            ->task('Report', minutes: 120, due: 'Tue 10:00')->anchored('Report', 'Mon 11:00', 'Mon 11:30')->build();

        self::assertSame([90, 120], [(new Feasibility($problem))->points[0]->demand, (new Feasibility($problem))->points[0]->supply]);
        self::assertNull((new Feasibility($problem))->firstCrunch());
    }

    /** A crunch is a proof: no plan at all can be in time. */
    #[Test]
    public function where_a_crunch_is_known_every_plan_is_late(): void
    {
        $crunches = 0;
        $this->limitTo(Runs::of(150))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed) use (&$crunches): void {
            $problem = RandomProblem::of($seed);
            if ((new Feasibility($problem))->firstCrunch() !== null) {
                $crunches++;
                self::assertFalse((new Outcome($problem, (new Planner(effort: 30))->plan($problem)))->isOnTime());
            }
        });

        self::assertGreaterThan(10, $crunches, 'the property was looked at');
    }

    #[Test]
    public function each_way_out_is_the_smallest_that_really_helps(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->open('Tue 09:00', 'Tue 12:00')->open('Wed 09:00', 'Wed 12:00')
            ->task('Agreements', minutes: 120, importance: Importance::Vital, due: 'Mon 12:00', hard: true)
            ->task('Object list', minutes: 90, importance: Importance::High, due: 'Mon 12:00')
            ->task('Invoices', minutes: 30, importance: Importance::Low, due: 'Mon 12:00')->build();
        $ways = new WaysOut($problem);
        $found = array_column(array_map(static fn ($way): array => [$way->kind->value, $way], $ways->all()), 1, 0);

        self::assertFalse($ways->now()->isOnTime());
        self::assertSame(['move_due', 'cut', 'drop', 'extra_hours'], array_keys($found));
        foreach ($found as $way) {
            self::assertTrue($way->then->isOnTime(), $way->kind->value);
        }
        self::assertSame('Tue 12:00', ProblemBuilder::word($found['move_due']->amount));
        self::assertSame(60, $found['cut']->amount, 'of 240 min 180 fit');
        self::assertSame('Object list', $found['drop']->task, 'invoices are worth less, but dropping them is not enough');
        self::assertSame([60, 'Mon 08:00', 'Office'], [$found['extra_hours']->amount, ProblemBuilder::word($found['extra_hours']->time->start ?? 0), $found['extra_hours']->hours]);
    }

    #[Test]
    public function the_least_valuable_task_that_is_enough_is_dropped(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 11:00')
            ->task('Agreements', minutes: 60, importance: Importance::Vital, due: 'Mon 11:00')->task('List', minutes: 60, importance: Importance::High, due: 'Mon 11:00')
            ->task('Tidy', minutes: 30, importance: Importance::Low, due: 'Mon 11:00')->build();

        self::assertSame('Tidy', (new WaysOut($problem))->drop()?->task);
    }

    #[Test]
    public function where_all_is_in_time_no_way_out_is_offered(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->task('Quotes', minutes: 60, due: 'Mon 12:00')->build();

        self::assertSame([], (new WaysOut($problem))->all());
    }

    #[Test]
    public function ways_out_never_leave_more_late_than_before(): void
    {
        $this->limitTo(Runs::of(12))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $ways = new WaysOut(RandomProblem::of($seed));
            foreach ($ways->all() as $way) {
                self::assertGreaterThan(0, $way->amount);
                self::assertLessThan($ways->now()->lateMinutes() + 1, $way->then->lateMinutes(), $way->kind->value);
            }
        });
    }

    #[Test]
    public function slack_runs_in_open_time_to_the_latest_start(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->open('Tue 09:00', 'Tue 12:00')
            ->task('First', minutes: 60, importance: Importance::Vital, due: 'Tue 12:00')->task('Second', minutes: 60, due: 'Tue 12:00', after: ['First'])->build();
        $slack = (new LatestStarts($problem, (new Planner)->plan($problem)))->tasks;

        self::assertSame(['Tue 10:00', 240], [ProblemBuilder::word($slack['First']->latestStart), $slack['First']->minutes]);
        self::assertSame(['Tue 11:00', 240], [ProblemBuilder::word($slack['Second']->latestStart), $slack['Second']->minutes]);
    }

    #[Test]
    public function what_others_wait_for_must_begin_before_they_must(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->open('Tue 09:00', 'Tue 12:00')
            ->task('Draft', minutes: 60)->task('Print', minutes: 60, due: 'Tue 10:00', after: ['Draft'])->build();
        $slack = (new LatestStarts($problem, (new Planner)->plan($problem)))->tasks;

        self::assertSame(['Mon 11:00', 'Tue 09:00'], [ProblemBuilder::word($slack['Draft']->latestStart), ProblemBuilder::word($slack['Print']->latestStart)]);
        self::assertTrue($slack['Draft']->dated, 'by the date of what waits for it');
    }

    #[Test]
    public function what_is_late_has_negative_slack_and_says_by_how_much(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->task('Late', minutes: 60, due: 'Mon 09:30')->build();
        $slack = (new LatestStarts($problem, (new Planner)->plan($problem)))->tasks['Late'];

        self::assertSame([-30, 30], [$slack->minutes, $slack->late]);
    }

    #[Test]
    public function nothing_in_time_must_begin_before_it_is_planned_to(): void
    {
        $this->limitTo(Runs::of(150))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $problem = RandomProblem::of($seed);
            foreach ((new LatestStarts($problem, (new Planner(effort: 20))->plan($problem)))->tasks as $id => $slack) {
                self::assertGreaterThanOrEqual($slack->start, $slack->latestStart, $id);
                self::assertSame($slack->late > 0, $slack->minutes < 0, $id);
            }
        });
    }

    /** What can each wait until its latest start can wait until then together. */
    #[Test]
    public function all_blocks_at_their_latest_starts_are_a_plan_that_is_no_later(): void
    {
        $this->limitTo(Runs::of(150))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $problem = RandomProblem::of($seed);
            $plan = (new Planner(effort: 20))->plan($problem);
            $latest = new LatestStarts($problem, $plan);
            $moved = array_map(static function (Block $block) use ($latest): Block {
                $start = ($latest->blocks["{$block->task}/{$block->time->start}"] ?? null)?->latestStart;

                return $block->anchored || $start === null ? $block : new Block($block->task, new Interval($start, $start + $block->time->length()), false);
            }, $plan->blocks);
            usort($moved, static fn (Block $a, Block $b): int => $a->time->start <=> $b->time->start);
            foreach ($moved as $i => $block) {
                self::assertTrue(! isset($moved[$i + 1]) || $moved[$i + 1]->time->start >= $block->time->end, "{$block->task} and what follows");
            }

            self::assertSame((new Outcome($problem, $plan))->late, (new Outcome($problem, new Plan($moved, $plan->unplaced)))->late);
        });
    }

    #[Test]
    public function work_that_takes_what_was_estimated_is_in_time_just_where_the_plan_is(): void
    {
        $this->limitTo(Runs::of(100))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $problem = RandomProblem::of($seed)->with(anchored: []);
            $plan = (new Planner(effort: 20))->plan($problem);
            $outcome = new Outcome($problem, $plan);
            foreach ((new Chances($problem, $plan, Ratios::exact(), runs: 3))->byTask as $id => $chance) {
                isset($outcome->late[$id]) || self::assertSame(1.0, (float) $chance, $id);
            }
        });
    }

    #[Test]
    public function chances_fall_where_work_runs_over_and_the_same_seed_gives_the_same(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->task('a', minutes: 60, importance: Importance::Vital, due: 'Mon 10:30')->task('b', minutes: 60, due: 'Mon 12:00')->build();
        $plan = (new Planner)->plan($problem);
        $ratios = new Ratios([1.0, 2.0]);
        $chances = new Chances($problem, $plan, $ratios, seed: 7);

        self::assertEqualsWithDelta(0.5, $chances->byTask['a'], 0.06, 'a ratio up to 1.5 of 1 to 2 is in time');
        self::assertEqualsWithDelta(0.5, $chances->byTask['b'], 0.06, 'both together must stay under 3');
        self::assertSame($chances->byTask, (new Chances($problem, $plan, $ratios, seed: 7))->byTask);
        self::assertNotSame($chances->byTask, (new Chances($problem, $plan, $ratios, seed: 8))->byTask);
        self::assertSame(0.0, (float) (new Chances($problem, $plan, $ratios, ['a' => new Ratios([9.0])]))->byTask['a']);
    }

    #[Test]
    public function a_quantile_between_two_ratios_lies_in_proportion(): void
    {
        $ratios = new Ratios([3.0, 1.0, 2.0]);

        self::assertSame([1.0, 1.5, 2.0, 3.0], [$ratios->at(-1), $ratios->at(0.25), $ratios->at(0.5), $ratios->at(1)]);
        $this->expectException(\InvalidArgumentException::class);
        new Ratios([0.0]);
    }
}
