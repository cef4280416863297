<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\InvalidProblem;
use Nekto\Core\Plan\MoveCause;
use Nekto\Core\Plan\PlanDifference;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Plan\ReasonCode;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

final class PlannerTest extends TestCase
{
    #[Test]
    public function a_vital_task_goes_first_and_the_other_goes_on_after_the_gap(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 10:30')->open('Mon 11:00', 'Mon 12:00')
            ->task('Courier quotes', minutes: 60)
            ->task('Lender agreements', minutes: 60, importance: Importance::Vital);

        self::assertSame([
            'Mon 09:00–10:00 Lender agreements',
            'Mon 10:00–10:30 Courier quotes',
            'Mon 11:00–11:30 Courier quotes',
        ], $problem->lines());
    }

    #[Test]
    public function what_is_due_sooner_goes_first_where_both_would_be_late_otherwise(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->open('Tue 09:00', 'Tue 12:00')
            ->task('Grant report', minutes: 120, due: 'Tue 12:00')
            ->task('Object list', minutes: 60, due: 'Mon 10:00');

        self::assertSame('Mon 09:00–10:00 Object list', $problem->lines()[0]);
    }

    #[Test]
    public function meetings_stay_free_and_blocks_lie_inside_the_hours(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->busy('Mon 09:30', 'Mon 11:00')
            ->task('Wall texts', minutes: 75);

        self::assertSame(['Mon 09:00–09:30 Wall texts', 'Mon 11:00–11:45 Wall texts'], $problem->lines());
    }

    #[Test]
    public function nothing_begins_before_now_which_is_rounded_up_to_the_step(): void
    {
        $problem = ProblemBuilder::problem()->now('Mon 09:12')->open('Mon 09:00', 'Mon 12:00')->task('Replies', minutes: 30);

        self::assertSame(['Mon 09:15–09:45 Replies'], $problem->lines());
    }

    #[Test]
    public function no_block_is_shorter_than_the_least_and_no_rest_is_left_that_would_be(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 09:55')->open('Mon 10:00', 'Mon 12:00')
            ->task('Essay', minutes: 70, least: 30);

        self::assertSame(['Mon 09:00–09:40 Essay', 'Mon 10:00–10:30 Essay'], $problem->lines());
    }

    #[Test]
    public function a_long_task_pauses_where_its_blocks_would_touch(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 14:00')->task('Captions', minutes: 150, most: 90);

        self::assertSame(['Mon 09:00–10:30 Captions', 'Mon 10:35–11:35 Captions'], $problem->lines());
    }

    #[Test]
    public function deep_work_stops_at_its_daily_limit_and_light_work_goes_on(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 13:00')->open('Tue 09:00', 'Tue 13:00')->deepLimit(60)
            ->task('Essay', minutes: 90, importance: Importance::Vital, deep: true)->task('Invoices', minutes: 60);

        self::assertSame(['Mon 09:00–10:00 Invoices', 'Mon 10:00–11:00 Essay', 'Tue 09:00–09:30 Essay'], $problem->lines());
    }

    #[Test]
    public function a_day_is_not_loaded_over_its_line(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 13:00')->open('Tue 09:00', 'Tue 13:00')->dayLimit(90)
            ->task('Quotes', minutes: 60, importance: Importance::High)->task('Invoices', minutes: 60);

        self::assertSame(['Mon 09:00–10:00 Quotes', 'Mon 10:00–10:30 Invoices', 'Tue 09:00–09:30 Invoices'], $problem->lines());
    }

    #[Test]
    public function a_successor_waits_for_its_predecessor_even_where_it_matters_more(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')
            ->task('Print', minutes: 30, importance: Importance::Vital, after: ['Proofs'])->task('Proofs', minutes: 60, importance: Importance::Low);

        self::assertSame(['Mon 09:00–10:00 Proofs', 'Mon 10:00–10:30 Print'], $problem->lines());
    }

    #[Test]
    public function a_successor_of_work_without_a_place_has_none_either(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 10:00')
            ->task('Proofs', minutes: 90)->task('Print', minutes: 30, after: ['Proofs']);

        self::assertSame(['Proofs 30 no_open_time', 'Print 30 predecessor_unplaced'], $problem->unplaced());
    }

    #[Test]
    public function work_that_is_too_long_for_every_gap_says_so(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 09:30')->open('Mon 10:00', 'Mon 10:30')->task('Essay', minutes: 60, least: 60);

        self::assertSame(['Essay 60 no_gap_long_enough'], $problem->unplaced());
    }

    #[Test]
    public function anchored_blocks_stay_and_count_and_nothing_touches_the_same_task_there(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')
            ->task('Porto', minutes: 60, most: 45)->anchored('Porto', 'Mon 09:30', 'Mon 10:00');

        self::assertSame(['Mon 09:00–09:15 Porto', 'Mon 09:30–10:00 Porto', 'Mon 10:05–10:20 Porto'], $problem->lines());
    }

    #[Test]
    public function each_task_keeps_to_its_own_hours(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 10:00')->open('Mon 18:00', 'Mon 19:00', 'Evenings')
            ->task('Run', minutes: 30, importance: Importance::Vital, hours: 'Evenings')->task('Quotes', minutes: 30);

        self::assertSame(['Mon 09:00–09:30 Quotes', 'Mon 18:00–18:30 Run'], $problem->lines());
    }

    #[Test]
    public function what_need_not_move_does_not_move(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')
            ->task('Quotes', minutes: 30)->task('Essay', minutes: 60, importance: Importance::Vital)->task('Invoices', minutes: 30)
            ->previous('Quotes', 'Mon 11:00', 'Mon 11:30')->previous('Essay', 'Mon 14:00', 'Mon 15:00');

        self::assertSame(['Mon 09:00–09:30 Invoices', 'Mon 11:00–11:30 Quotes', 'Mon 14:00–15:00 Essay'], $problem->lines());
    }

    #[Test]
    public function only_the_block_under_a_new_meeting_moves_and_the_meeting_is_the_cause(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->busy('Mon 09:30', 'Mon 10:30')
            ->task('Quotes', minutes: 30)->task('Essay', minutes: 60)
            ->previous('Quotes', 'Mon 09:00', 'Mon 09:30')->previous('Essay', 'Mon 09:30', 'Mon 10:30');

        $moves = (new PlanDifference($problem->build(), $problem->plan()))->moves();

        self::assertSame(['Mon 09:00–09:30 Quotes', 'Mon 10:30–11:30 Essay'], $problem->lines());
        self::assertCount(1, $moves);
        self::assertSame(MoveCause::BusyTook, $moves[0]->cause);
        self::assertSame(ProblemBuilder::minute('Mon 09:30'), $moves[0]->facts['start']);
    }

    #[Test]
    public function work_gives_way_where_something_vital_would_be_late_without(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 11:00')->open('Tue 09:00', 'Tue 11:00')
            ->task('Invoices', minutes: 120, importance: Importance::Low)
            ->task('Agreements', minutes: 60, importance: Importance::Vital, due: 'Mon 12:00', hard: true)
            ->previous('Invoices', 'Mon 09:00', 'Mon 11:00');
        $moves = (new PlanDifference($problem->build(), $problem->plan()))->moves();

        self::assertSame('Mon 09:00–10:00 Agreements', $problem->lines()[0]);
        self::assertContains(MoveCause::TaskTook, array_map(static fn ($move): MoveCause => $move->cause, $moves));
    }

    #[Test]
    public function work_whose_time_went_by_is_placed_again_and_says_so(): void
    {
        $problem = ProblemBuilder::problem()->now('Mon 10:00')->open('Mon 09:00', 'Mon 12:00')
            ->task('Quotes', minutes: 30)->previous('Quotes', 'Mon 09:00', 'Mon 09:30');
        $moves = (new PlanDifference($problem->build(), $problem->plan()))->moves();

        self::assertSame(['Mon 10:00–10:30 Quotes'], $problem->lines());
        self::assertSame(MoveCause::Passed, $moves[0]->cause);
    }

    #[Test]
    public function each_block_says_why_it_lies_there_and_what_stood_before_it(): void
    {
        $plan = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->busy('Mon 09:30', 'Mon 10:00')
            ->task('Essay', minutes: 30, importance: Importance::Vital)->task('Quotes', minutes: 30)->plan();

        self::assertSame([ReasonCode::EarliestOpen], array_column(array_map(static fn ($reason): array => ['code' => $reason->code], $plan->reasons[0]), 'code'));
        self::assertEqualsCanonicalizing(
            [ReasonCode::EarliestOpen->value, ReasonCode::BehindTask->value, ReasonCode::BehindBusy->value],
            array_map(static fn ($reason): string => $reason->code->value, $plan->reasons[1]),
        );
    }

    #[Test]
    public function the_same_problem_gives_the_same_plan(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->open('Tue 09:00', 'Tue 12:00');
        for ($i = 0; $i < 12; $i++) {
            $problem->task("T{$i}", minutes: 15 + 5 * ($i % 4), importance: Importance::from(1 + $i % 4), due: $i % 2 === 0 ? 'Mon 11:00' : null);
        }

        self::assertEquals((new Planner)->plan($problem->build()), (new Planner)->plan($problem->build()));
    }

    #[Test]
    public function contradictions_are_refused_with_their_place(): void
    {
        $this->assertRefused('tasks: task "A" comes after itself', ProblemBuilder::problem()->task('A', 30, after: ['B'])->task('B', 30, after: ['A']));
        $this->assertRefused('tasks[0].after: unknown task "Z"', ProblemBuilder::problem()->task('A', 30, after: ['Z']));
        $this->assertRefused('tasks[0].minutes: must be a positive multiple of step', ProblemBuilder::problem()->task('A', 32));
        $this->assertRefused('tasks[1]: id "A" appears twice', ProblemBuilder::problem()->task('A', 30)->task('A', 30));
        $this->assertRefused('tasks[0].hours: there is no hours set "Nights"', ProblemBuilder::problem()->task('A', 30, hours: 'Nights'));
        $this->assertRefused('anchored: two anchored blocks overlap', ProblemBuilder::problem()->task('A', 60)
            ->anchored('A', 'Mon 09:00', 'Mon 10:00')->anchored('A', 'Mon 09:30', 'Mon 10:30'));
    }

    private function assertRefused(string $message, ProblemBuilder $problem): void
    {
        try {
            $problem->build();
            self::fail("Not refused: {$message}");
        } catch (InvalidProblem $error) {
            self::assertStringStartsWith($message, $error->getMessage());
        }
    }

    /** Coming back to work costs: it is laid whole where that makes it end little later, and the checker counts the same. */
    #[Test]
    public function pieces_cost_what_the_problem_says(): void
    {
        $builder = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 09:30')->open('Mon 10:00', 'Mon 12:00')->open('Tue 09:00', 'Tue 12:00')->task('Essay', minutes: 90, least: 30);
        $problem = $builder->build();
        $laid = static fn (int $cost): array => array_map(static fn (Block $block): string => ProblemBuilder::word($block->time->start), (new Planner)->plan(new PlanningProblem(
            zone: $problem->zone, now: $problem->now, end: $problem->end, step: 5, hours: $problem->hours, busy: $problem->busy, tasks: $problem->tasks, pieceCost: $cost,
        ))->blocks);

        self::assertSame(['Mon 09:00', 'Mon 10:00'], $laid(0));
        self::assertSame(['Mon 09:00', 'Mon 10:00'], $laid(59), 'half an hour later, of medium weight, is 60');
        self::assertSame(['Mon 10:00'], $laid(61));
    }
}
