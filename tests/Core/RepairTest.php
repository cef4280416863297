<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\Move;
use Nekto\Core\Plan\MoveCause;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanDifference;
use Nekto\Core\Plan\ReasonCode;
use Nekto\Core\Plan\Tempo;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Prospect\Outcome;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Task;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Planning again: calm where it can be, thorough where it must be, and always able to say why. */
final class RepairTest extends TestCase
{
    use TestTrait;

    /** Where some work has no place, other work may give way to it; where all has, nothing moves at all. */
    #[Test]
    public function a_plan_that_still_holds_is_left_alone(): void
    {
        $whole = 0;
        $this->limitTo(Runs::of(100))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed) use (&$whole): void {
            $problem = RandomProblem::of($seed);
            $problem = $problem->with(tasks: array_map(static fn (Task $task): Task => $task->with(minutes: min(60, $task->minutes)), $problem->tasks), anchored: []);
            $first = (new Planner(effort: 40))->plan($problem);
            if ($first->unplaced !== []) {
                return;
            }
            $whole++;
            $again = $problem->with(previous: $first->blocks);

            self::assertSame([], (new PlanDifference($again, (new Planner(effort: 40))->plan($again)))->moves());
        });

        self::assertGreaterThan(30, $whole, 'the property was looked at');
    }

    #[Test]
    public function whatever_lies_elsewhere_than_before_is_told_with_its_cause(): void
    {
        $this->limitTo(Runs::of(30))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $problem = RandomProblem::of($seed, repair: true);
            $plan = (new Planner(effort: 30))->plan($problem);
            $told = [];
            foreach ((new PlanDifference($problem, $plan))->moves() as $move) {
                $told[$move->task][] = $move->from;
                self::assertNotSame(MoveCause::NewWork, $move->from === null ? null : $move->cause, 'what had a place is nothing new');
            }
            foreach ($problem->previous as $old) {
                $stays = array_filter($plan->blocks, static fn (Block $block): bool => $block->task === $old->task && $block->time->equals($old->time));
                self::assertSame($stays === [], in_array($old->time, $told[$old->task] ?? [], false), "{$old->task}: what moved is told, and nothing else");
            }
        });
    }

    /** In the other tempos the same problem may move more, and costs no more for it. */
    #[Test]
    public function the_readier_the_tempo_the_better_the_plan(): void
    {
        $total = [0, 0];
        foreach (range(1, 25) as $seed) {
            $problem = RandomProblem::of($seed, repair: true);
            foreach ([Tempo::Calm, Tempo::Eager] as $i => $tempo) {
                $total[$i] += (new Outcome($problem, (new Planner(effort: 120))->plan($problem->with(tempo: $tempo))))->cost;
            }
        }

        self::assertLessThan($total[0], $total[1]);
    }

    #[Test]
    public function a_task_that_grew_keeps_its_block_and_gets_another(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')
            ->task('Essay', minutes: 90)->previous('Essay', 'Mon 10:00', 'Mon 11:00');

        self::assertSame(['Mon 09:00–09:30 Essay', 'Mon 10:00–11:00 Essay'], $problem->lines());
    }

    #[Test]
    public function a_task_that_shrank_gives_back_what_it_does_not_need(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')
            ->task('Essay', minutes: 60)->previous('Essay', 'Mon 10:00', 'Mon 11:00')->previous('Essay', 'Mon 14:00', 'Mon 15:00');

        self::assertSame(['Mon 10:00–11:00 Essay'], $problem->lines());
    }

    #[Test]
    public function a_block_outside_the_hours_of_today_moves_and_says_so(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 10:00')->open('Tue 09:00', 'Tue 10:00')
            ->task('Essay', minutes: 60)->previous('Essay', 'Mon 14:00', 'Mon 15:00');

        self::assertSame(['Mon 09:00–10:00 Essay'], $problem->lines());
        self::assertSame([MoveCause::HoursClosed], self::causes($problem));
    }

    #[Test]
    public function what_comes_after_moved_work_moves_with_it(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')->busy('Mon 09:00', 'Mon 13:00')
            ->task('Proofs', minutes: 60)->task('Print', minutes: 30, after: ['Proofs'])
            ->previous('Proofs', 'Mon 09:00', 'Mon 10:00')->previous('Print', 'Mon 13:00', 'Mon 13:30');

        self::assertSame(['Mon 13:00–14:00 Proofs', 'Mon 14:00–14:30 Print'], $problem->lines());
        self::assertSame([MoveCause::BusyTook, MoveCause::BusyTook], self::causes($problem), 'the meeting is the cause of both');
        self::assertSame('Proofs', (new PlanDifference($problem->build(), $problem->plan()))->moves()[1]->facts['for'] ?? null);
    }

    #[Test]
    public function work_that_took_each_others_place_has_no_cause_but_the_whole(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')
            ->task('One', minutes: 60)->task('Two', minutes: 60)->task('Three', minutes: 60)
            ->previous('One', 'Mon 09:00', 'Mon 10:00')->previous('Two', 'Mon 10:00', 'Mon 11:00')->previous('Three', 'Mon 11:00', 'Mon 12:00')->build();
        $plan = new Plan([new Block('Two', ProblemBuilder::interval('Mon 09:00', 'Mon 10:00')), new Block('Three', ProblemBuilder::interval('Mon 10:00', 'Mon 11:00')), new Block('One', ProblemBuilder::interval('Mon 11:00', 'Mon 12:00'))]);

        self::assertSame([MoveCause::Rearranged, MoveCause::Rearranged, MoveCause::Rearranged], array_map(static fn (Move $move): MoveCause => $move->cause, (new PlanDifference($problem, $plan))->moves()));
    }

    #[Test]
    public function lateness_that_was_there_before_moves_nobody(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->open('Tue 09:00', 'Tue 12:00')
            ->task('Invoices', minutes: 180, importance: Importance::Low)
            ->task('Late already', minutes: 60, importance: Importance::Vital, due: 'Mon 10:00')
            ->task('Small', minutes: 30, importance: Importance::Low)
            ->previous('Invoices', 'Mon 09:00', 'Mon 11:00')->previous('Invoices', 'Mon 11:05', 'Mon 12:00')->previous('Late already', 'Tue 09:00', 'Tue 10:00');

        self::assertNotContains('Mon 09:00–10:00 Late already', $problem->lines());
    }

    #[Test]
    public function work_without_a_place_says_what_it_lost(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 10:00')->busy('Mon 09:00', 'Mon 10:00')
            ->task('Essay', minutes: 60)->previous('Essay', 'Mon 09:00', 'Mon 10:00');
        $moves = (new PlanDifference($problem->build(), $problem->plan()))->moves();

        self::assertSame(['Essay 60 no_open_time'], $problem->unplaced());
        self::assertNull($moves[0]->to);
        self::assertSame(MoveCause::BusyTook, $moves[0]->cause);
    }

    #[Test]
    public function time_that_is_left_goes_to_what_cannot_be_finished(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')
            ->task('Too long', minutes: 300, importance: Importance::Vital)->task('Fits', minutes: 60, importance: Importance::Low);

        self::assertSame('Mon 09:00–10:00 Fits', $problem->lines()[0]);
        self::assertSame(['Too long 180 no_open_time'], $problem->unplaced());
    }

    #[Test]
    public function a_full_day_is_named_as_what_stood_in_the_way(): void
    {
        $plan = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')->open('Tue 09:00', 'Tue 17:00')->dayLimit(60)
            ->task('Essay', minutes: 60, importance: Importance::Vital)->task('Quotes', minutes: 60)->plan();

        self::assertSame('Tue 09:00', ProblemBuilder::word($plan->blocks[1]->time->start));
        self::assertContains(ReasonCode::DayFull, array_map(static fn ($reason): ReasonCode => $reason->code, $plan->reasons[1]));
    }

    #[Test]
    public function an_earliest_start_and_a_predecessor_are_named_as_reasons(): void
    {
        $plan = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')
            ->task('Later', minutes: 30, notBefore: 'Mon 11:07')->task('Proofs', minutes: 60)->task('Print', minutes: 30, after: ['Proofs'])->plan();
        $first = [];
        foreach ($plan->blocks as $i => $block) {
            $first[$block->task] = $plan->reasons[$i][0];
        }

        self::assertSame([ReasonCode::NotBefore, ProblemBuilder::minute('Mon 11:07')], [$first['Later']->code, $first['Later']->facts['at']]);
        self::assertSame('Mon 11:10', ProblemBuilder::word($plan->blocksOf('Later')[0]->time->start), 'on the step');
        self::assertSame([ReasonCode::AfterTask, 'Proofs'], [$first['Print']->code, $first['Print']->facts['task']]);
    }

    /** @return list<MoveCause> */
    private static function causes(ProblemBuilder $problem): array
    {
        return array_map(static fn (Move $move): MoveCause => $move->cause, (new PlanDifference($problem->build(), $problem->plan()))->moves());
    }
}
