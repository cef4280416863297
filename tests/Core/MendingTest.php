<?php

declare(strict_types=1);

namespace Tests\Core;

use Bench\Calm;
use Bench\Checker;
use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\PlanDifference;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Planning\Format\PlanWriter;
use Nekto\Core\Planning\Format\ProblemReader;
use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\FreeTime;
use Nekto\Core\Planning\Mending\Draft;
use Nekto\Core\Planning\Mending\Former;
use Nekto\Core\Planning\Mending\Places;
use Nekto\Core\Planning\Mending\Ways;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\IntervalSet;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** What breaks is mended with the least change. */
final class MendingTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function what_a_meeting_lies_on_goes_into_the_next_free_time_and_nothing_else_moves(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')->busy('Mon 10:00', 'Mon 10:30')
            ->task('Quotes', minutes: 60, least: 60)->task('Essay', minutes: 60, least: 60)->task('Proofs', minutes: 60, least: 60)
            ->previous('Quotes', 'Mon 09:00', 'Mon 10:00')->previous('Essay', 'Mon 10:00', 'Mon 11:00')->previous('Proofs', 'Mon 11:00', 'Mon 12:00');

        self::assertSame(['Mon 09:00–10:00 Quotes', 'Mon 11:00–12:00 Proofs', 'Mon 12:00–13:00 Essay'], $problem->lines());
    }

    #[Test]
    public function a_hit_block_keeps_its_rest_if_that_is_a_piece(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->open('Mon 13:00', 'Mon 17:00')->busy('Mon 10:30', 'Mon 11:00')
            ->task('Essay', minutes: 120)->previous('Essay', 'Mon 09:00', 'Mon 11:00');

        self::assertSame(['Mon 09:00–10:30 Essay', 'Mon 11:00–11:30 Essay'], $problem->lines());
    }

    #[Test]
    public function no_new_piece_is_shorter_than_half_an_hour(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 11:00')->open('Tue 09:00', 'Tue 12:00')->busy('Mon 10:40', 'Mon 11:00')
            ->task('Essay', minutes: 120)->previous('Essay', 'Mon 09:00', 'Mon 11:00');

        self::assertSame(['Mon 09:00–10:30 Essay', 'Tue 09:00–09:30 Essay'], $problem->lines(), 'not 20 min tomorrow');
    }

    #[Test]
    public function a_few_minutes_more_lengthen_a_block_instead_of_making_another(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')
            ->task('Essay', minutes: 75)->task('Quotes', minutes: 30)
            ->previous('Essay', 'Mon 09:00', 'Mon 10:00')->previous('Quotes', 'Mon 11:00', 'Mon 11:30');

        self::assertSame(['Mon 09:00–10:15 Essay', 'Mon 11:00–11:30 Quotes'], $problem->lines());
    }

    #[Test]
    public function what_can_wait_makes_way_for_what_would_be_late(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 11:00')->open('Tue 09:00', 'Tue 11:00')->busy('Mon 09:00', 'Mon 10:00')
            ->task('Agreement', minutes: 60, due: 'Mon 11:00', least: 60)->task('Filing', minutes: 60, least: 60)
            ->previous('Agreement', 'Mon 09:00', 'Mon 10:00')->previous('Filing', 'Mon 10:00', 'Mon 11:00');

        self::assertSame(['Mon 10:00–11:00 Agreement', 'Tue 09:00–10:00 Filing'], $problem->lines());
    }

    #[Test]
    public function of_those_that_could_make_way_the_one_with_most_slack_does(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->open('Tue 09:00', 'Tue 11:00')->busy('Mon 09:00', 'Mon 10:00')
            ->task('Agreement', minutes: 60, due: 'Mon 12:00', least: 60)->task('Tight', minutes: 60, due: 'Tue 10:00', least: 60)->task('Filing', minutes: 60, due: 'Fri 17:00', least: 60)
            ->previous('Agreement', 'Mon 09:00', 'Mon 10:00')->previous('Tight', 'Mon 10:00', 'Mon 11:00')->previous('Filing', 'Mon 11:00', 'Mon 12:00');

        self::assertSame(['Mon 10:00–11:00 Tight', 'Mon 11:00–12:00 Agreement', 'Tue 09:00–10:00 Filing'], $problem->lines());
    }

    #[Test]
    public function a_cancelled_meeting_and_a_free_gap_move_nothing(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')
            ->task('Late', minutes: 60, due: 'Mon 10:00', importance: Importance::Vital)->task('Essay', minutes: 60)
            ->previous('Late', 'Mon 14:00', 'Mon 15:00')->previous('Essay', 'Mon 16:00', 'Mon 17:00');

        self::assertSame(['Mon 14:00–15:00 Late', 'Mon 16:00–17:00 Essay'], $problem->lines());
    }

    #[Test]
    public function a_full_day_gives_up_what_can_best_wait_when_its_limit_shrinks(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')->open('Tue 09:00', 'Tue 17:00')->dayLimit(60)
            ->task('Agreement', minutes: 60, due: 'Mon 17:00', least: 60)->task('Filing', minutes: 60, least: 60)
            ->previous('Agreement', 'Mon 09:00', 'Mon 10:00')->previous('Filing', 'Mon 10:00', 'Mon 11:00');

        self::assertSame(['Mon 09:00–10:00 Agreement', 'Tue 09:00–10:00 Filing'], $problem->lines());
    }

    #[Test]
    public function what_grew_beyond_all_time_has_what_fits_and_the_rest_is_told(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')
            ->task('Essay', minutes: 300)->previous('Essay', 'Mon 09:00', 'Mon 10:00');

        self::assertSame(['Mon 09:00–11:00 Essay', 'Mon 11:05–12:00 Essay'], $problem->lines());
        self::assertSame(['Essay 125 no_gap_long_enough'], $problem->unplaced());
    }

    /** Of a pick that loses some of its day only that is laid again, on its day; what it has on others stays. */
    #[Test]
    public function a_pick_that_is_hit_keeps_what_it_has_on_other_days(): void
    {
        $base = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 13:00')->open('Tue 09:00', 'Tue 12:00')->busy('Mon 09:30', 'Mon 10:00')
            ->task('Essay', minutes: 180, least: 30)
            ->previous('Essay', 'Mon 09:00', 'Mon 10:00')->previous('Essay', 'Tue 09:00', 'Tue 11:00')->build();
        $monday = intdiv(ProblemBuilder::minute('Mon 00:00'), 1440);
        $tasks = [new Task('Essay', 180, Importance::Medium, 'Office', minChunk: 30, pick: $monday, pickMinutes: 120)];

        self::assertSame(['Mon 09:00', 'Mon 10:00', 'Tue 09:00'], array_map(static fn (Block $block): string => ProblemBuilder::word($block->time->start), (new Planner)->plan($base->with(tasks: $tasks))->blocks));
    }

    #[Test]
    public function a_pick_whose_day_is_over_goes_on_elsewhere_and_what_it_has_there_stays(): void
    {
        $base = ProblemBuilder::problem()->now('Mon 15:50')->open('Mon 09:00', 'Mon 16:00')->open('Tue 09:00', 'Tue 12:00')->open('Wed 09:00', 'Wed 12:00')
            ->task('Essay', minutes: 180, least: 30)
            ->previous('Essay', 'Mon 14:45', 'Mon 15:45')->previous('Essay', 'Wed 09:00', 'Wed 11:00')->build();
        $tasks = [new Task('Essay', 180, Importance::Medium, 'Office', minChunk: 30, pick: intdiv(ProblemBuilder::minute('Mon 00:00'), 1440), pickMinutes: 120)];
        $plan = (new Planner)->plan($base->with(tasks: $tasks));

        self::assertSame([['Tue 09:00', 60], ['Wed 09:00', 120]], array_map(static fn (Block $block): array => [ProblemBuilder::word($block->time->start), $block->time->length()], $plan->blocks));
    }

    #[Test]
    public function what_got_a_new_place_begins_as_early_as_its_free_time_does(): void
    {
        $problem = ProblemBuilder::problem()->now('Mon 08:00')->open('Mon 09:00', 'Mon 12:00')->task('Essay', minutes: 60)->task('Quotes', minutes: 30)
            ->previous('Essay', 'Mon 11:00', 'Mon 12:00')->previous('Quotes', 'Mon 09:00', 'Mon 09:30')->build();
        $of = new Compiled($problem, new FreeTime($problem));
        $ways = new Ways($of, new Former($of), new Places($of, 30), hit: [0 => true]);
        $draft = new Draft($of);
        $draft->keep(1, ProblemBuilder::minute('Mon 09:00'), ProblemBuilder::minute('Mon 09:30'));
        $draft->lay(0, ProblemBuilder::minute('Mon 09:35'), ProblemBuilder::minute('Mon 10:35'));
        $draft->count(0, 0);

        $drawn = $ways->drawnForward($draft);
        self::assertSame(['Mon 09:30', 'Mon 10:30', 'Mon 09:00'], [...array_map(ProblemBuilder::word(...), $drawn->blocks[0][0]), ProblemBuilder::word($drawn->blocks[1][0][0])]);
        self::assertSame([60, $draft->ends - 5], [$drawn->minutes, $drawn->ends]);

        $draft->take(0, ProblemBuilder::minute('Mon 09:35'), ProblemBuilder::minute('Mon 10:35'));
        $draft->lay(0, ProblemBuilder::minute('Mon 10:30'), ProblemBuilder::minute('Mon 11:30'));
        $draft->uncount(0);
        $draft->count(0, 0);
        self::assertSame('Mon 10:30', ProblemBuilder::word($ways->drawnForward($draft)->blocks[0][0][0]), 'half of it lies where it lay: to draw it forward would move more');
    }

    #[Test]
    public function what_is_due_between_two_steps_is_laid_on_the_grid(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->busy('Mon 09:00', 'Mon 09:30')
            ->task('Essay', minutes: 30, due: 'Mon 10:14')->task('Quotes', minutes: 10, due: 'Mon 09:40')
            ->previous('Essay', 'Mon 09:00', 'Mon 09:30')->previous('Quotes', 'Mon 09:30', 'Mon 09:40');

        self::assertSame(['Mon 09:30–09:40 Quotes', 'Mon 09:40–10:10 Essay'], $problem->lines());
        self::assertSame([ProblemBuilder::minute('Mon 10:10'), ProblemBuilder::minute('Mon 10:15')], [$problem->build()->alignedBefore(ProblemBuilder::minute('Mon 10:14')), $problem->build()->alignedBefore(ProblemBuilder::minute('Mon 10:15'))]);
    }

    /** Sent to another day by hand: it goes there, be it late. */
    #[Test]
    public function a_pick_goes_to_its_day_even_if_it_is_late_there(): void
    {
        $base = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->open('Tue 09:00', 'Tue 10:00')
            ->task('Quotes', minutes: 30, due: 'Mon 12:00', least: 30)->task('Essay', minutes: 60, due: 'Tue 10:00', least: 60)
            ->previous('Essay', 'Tue 09:00', 'Tue 10:00')->build();
        $tuesday = intdiv(ProblemBuilder::minute('Tue 00:00'), 1440);
        $tasks = array_map(static fn (Task $task): Task => $task->id === 'Quotes' ? new Task($task->id, $task->minutes, $task->importance, $task->hours, $task->due, minChunk: 30, pick: $tuesday) : $task, $base->tasks);
        $plan = (new Planner)->plan($base->with(tasks: $tasks));

        self::assertSame('Tue 09:00', ProblemBuilder::word($plan->blocksOf('Quotes')[0]->time->start));
        self::assertSame('Mon 09:00', ProblemBuilder::word($plan->blocksOf('Essay')[0]->time->start), 'what can make way does');
    }

    /** A meeting somewhere in a plan where everything has its place: only what it lies on moves, unless something would be late. */
    #[Test]
    public function nothing_moves_that_was_not_hit_unless_something_would_be_late_by_it(): void
    {
        $looked = 0;
        $this->limitTo(Runs::of(60))->forAll(Generators::choose(1, 1_000_000), Generators::choose(0, 2), Generators::choose(0, 80))->then(function (int $seed, int $day, int $at) use (&$looked): void {
            $problem = $this->roomy($seed);
            $before = (new Planner(effort: 20))->plan($problem);
            if ($before->unplaced !== []) {
                return;
            }
            $looked++;
            $start = $problem->first + 1440 * $day + 5 * $at;
            $meeting = ProblemBuilder::interval('Mon 09:00', 'Mon 09:30');
            $meeting = new \Nekto\Core\Time\Interval($start, $start + $meeting->length());
            $broken = self::withMeeting($problem->with(previous: $before->blocks), $meeting);
            $after = (new Planner)->plan($broken);
            $hit = array_map(static fn (Block $block): string => $block->task, array_filter($before->blocks, static fn (Block $block): bool => $block->time->overlaps($meeting)));
            $moved = array_unique(array_map(static fn ($move): string => $move->task, (new PlanDifference($broken, $after))->moves()));

            self::assertSame([], array_values(array_diff($moved, $hit)), 'nothing is due, so nobody makes way');
            foreach ($after->blocks as $block) {
                $isOld = array_filter($before->blocks, static fn (Block $old): bool => $old->task === $block->task && $old->time->equals($block->time)) !== [];
                self::assertTrue($isOld || $block->time->length() >= min(30, self::minutes($problem, $block->task)), 'no scrap');
            }
        });

        self::assertGreaterThan(20, $looked, 'the property was looked at');
    }

    /** The answer depends on nothing but the problem, and what was mended is whole: mending it again moves nothing. */
    #[Test]
    #[DataProvider('recorded')]
    public function a_mend_is_the_same_each_time_and_needs_none_itself(string $instance): void
    {
        $problem = (new ProblemReader)->read((string) file_get_contents(dirname(__DIR__, 2)."/bench/mend/{$instance}.json"));
        $mended = (new Planner)->plan($problem);

        self::assertEquals($mended->blocks, (new Planner)->plan($problem)->blocks);
        if ($mended->unplaced === []) {
            $again = $problem->with(previous: array_values(array_filter($mended->blocks, static fn (Block $block): bool => ! $block->anchored)));
            self::assertSame([], (new PlanDifference($again, (new Planner)->plan($again)))->moves());
        }
    }

    /**
     * @param  int  $tasks  that may move
     * @param  int  $late  weighted minutes that may be late anew
     */
    #[Test]
    #[DataProvider('recorded')]
    public function mends_are_as_calm_as_they_were(string $instance, int $tasks, int $late): void
    {
        $text = (string) file_get_contents(dirname(__DIR__, 2)."/bench/mend/{$instance}.json");
        $own = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/bench/mend-reference.json'), true)['instances'][$instance]['own'];
        $problem = (new ProblemReader)->read($text);
        $plan = json_decode((new PlanWriter($problem->zone))->write((new Planner)->plan($problem)), true);
        $calm = Calm::of(json_decode($text, true), $plan, $own);

        self::assertSame([], (new Checker(json_decode($text, true)))->faults($plan));
        self::assertLessThanOrEqual([$tasks, $late, 0], [count($calm->moved), $calm->late, $calm->scraps]);
    }

    /** @return array<string, array{string, int, int}> the best known of each kind */
    public static function recorded(): array
    {
        return [
            'a meeting' => ['mend-a-02', 4, 3000],
            'another meeting' => ['mend-a-04', 3, 0],
            'a meeting moved' => ['mend-b-07', 4, 0],
            'an overrun' => ['mend-c-01', 3, 1142],
            'a block that passed undone' => ['mend-d-04', 3, 2190],
            'a new task' => ['mend-e-06', 2, 0],
            'a meeting cancelled' => ['mend-f-01', 0, 0],
            'a task that takes longer' => ['mend-g-09', 2, 0],
            'a day closed' => ['mend-h-08', 7, 0],
        ];
    }

    private function roomy(int $seed): PlanningProblem
    {
        mt_srand($seed);
        $builder = ProblemBuilder::problem();
        foreach (['Mon', 'Tue', 'Wed', 'Thu', 'Fri'] as $day) {
            $builder->open("{$day} 09:00", "{$day} 12:30")->open("{$day} 13:15", "{$day} 17:30");
        }
        for ($i = 0; $i < 9; $i++) {
            $minutes = 15 * mt_rand(1, 10);
            $builder->task("t{$i}", minutes: $minutes, least: $minutes <= 60 ? $minutes : 30);
        }

        return $builder->build();
    }

    private static function withMeeting(PlanningProblem $problem, \Nekto\Core\Time\Interval $meeting): PlanningProblem
    {
        return new PlanningProblem(zone: $problem->zone, now: $problem->now, end: $problem->end, step: $problem->step, hours: $problem->hours, busy: IntervalSet::covering($meeting), tasks: $problem->tasks, previous: $problem->previous);
    }

    private static function minutes(PlanningProblem $problem, string $task): int
    {
        foreach ($problem->tasks as $known) {
            if ($known->id === $task) {
                return $known->minutes;
            }
        }

        return 0;
    }
}
