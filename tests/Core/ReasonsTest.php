<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Plan\Reason;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Why a block lies where it lies: the first reason, what kept it from lying earlier, what is good or bad about it. */
final class ReasonsTest extends TestCase
{
    #[Test]
    public function the_first_open_time_needs_no_obstacle(): void
    {
        self::assertSame(['quotes' => 'earliest_open'], self::why(self::week()->task('quotes', 30)));
    }

    #[Test]
    public function work_and_meetings_that_came_first_are_named_the_nearest_first_and_two_at_most(): void
    {
        $why = self::why(self::week()->busy('Mon 09:30', 'Mon 10:00')
            ->task('a', 30, Importance::Vital)->task('b', 30, Importance::High)->task('c', 30, Importance::Medium)->task('d', 30, Importance::Low));

        self::assertSame('earliest_open', $why['a']);
        self::assertSame('earliest_open, behind_busy(Mon 10:00), behind_task(a)', $why['b']);
        self::assertSame('earliest_open, behind_task(b), behind_busy(Mon 10:00)', $why['c']);
        self::assertSame('earliest_open, behind_task(c), behind_task(b)', $why['d']);
    }

    #[Test]
    public function an_earliest_start_and_what_must_be_finished_first_come_before_other_reasons(): void
    {
        $why = self::why(self::week()->task('early', 60, Importance::Vital)->task('later', 30, notBefore: 'Mon 11:00')->task('next', 30, after: ['later']));

        self::assertSame('not_before(Mon 11:00)', $why['later']);
        self::assertSame('after_task(later)', $why['next']);
    }

    #[Test]
    public function the_next_step_of_a_project_says_so(): void
    {
        $steps = self::with(self::week()->task('proofs', 30)->task('print', 30, after: ['proofs'])->build(), static fn (Task $task): array => ['project' => 'catalogue']);

        self::assertSame('next_step(print after proofs of catalogue)', self::sentences($steps)['print'][0]);
    }

    #[Test]
    public function the_second_piece_goes_on_after_the_first(): void
    {
        $pieces = self::sentences(self::week()->busy('Mon 10:00', 'Mon 11:00')->task('essay', 120)->build())['essay'];

        self::assertSame(['earliest_open', 'continues, behind_busy(Mon 11:00)'], $pieces);
    }

    #[Test]
    public function a_due_date_is_met_or_missed(): void
    {
        $why = self::why(self::week()->task('met', 60, Importance::Vital, due: 'Mon 10:00')->task('missed', 60, Importance::Low, due: 'Mon 09:30'));

        self::assertSame('earliest_open, in_time(Mon 10:00)', $why['met']);
        self::assertSame('earliest_open, behind_task(met), late(Mon 09:30)', $why['missed']);
    }

    #[Test]
    public function of_work_that_found_no_place_nothing_is_promised(): void
    {
        $short = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 10:00')->task('long', 120, due: 'Fri 12:00')->build();

        self::assertSame(['earliest_open'], self::sentences($short)['long']);
    }

    #[Test]
    public function a_day_that_had_reached_its_line_is_named(): void
    {
        $why = self::why(self::week()->dayLimit(60)->task('first', 60, Importance::Vital)->task('second', 60));

        self::assertSame('earliest_open, day_full(Mon), behind_task(first)', $why['second']);
    }

    #[Test]
    public function the_deep_limit_fills_a_day_for_deep_work_alone(): void
    {
        $why = self::why(self::week()->deepLimit(60)->task('texts', 60, Importance::Vital, deep: true)->task('essay', 60, deep: true)->task('mail', 30, Importance::Low));

        self::assertStringContainsString('day_full(Mon)', $why['essay']);
        self::assertSame('earliest_open, behind_task(texts)', $why['mail']);
    }

    #[Test]
    public function what_is_anchored_says_only_that(): void
    {
        self::assertSame(['call' => 'anchored'], self::why(self::week()->task('call', 30, due: 'Mon 09:00')->anchored('call', 'Mon 14:00', 'Mon 14:30')));
    }

    #[Test]
    public function what_stayed_where_it_was_says_so_and_in_the_freeze_that_it_had_to(): void
    {
        $week = self::week()->now('Mon 09:00')->task('soon', 30)->task('later', 30)->previous('soon', 'Mon 09:00', 'Mon 09:30')->previous('later', 'Mon 09:30', 'Mon 10:00');

        self::assertSame(['soon' => 'kept', 'later' => 'kept, behind_task(soon)'], self::why($week));
        self::assertStringStartsWith('frozen', self::why($week->freeze(20))['soon']);
    }

    #[Test]
    public function a_pick_names_its_day_and_only_on_that_day(): void
    {
        $tuesday = LocalDay::of(2026, 3, 3)->number;
        $picked = self::with(self::week()->task('essay', 600)->build(), static fn (Task $task): array => ['pick' => $tuesday, 'pickMinutes' => 60]);
        $plan = (new Planner)->plan($picked);
        foreach ($plan->blocks as $i => $block) {
            $isThere = $picked->zone->dayOf($block->time->start)->number === $tuesday;
            self::assertSame($isThere, $plan->reasons[$i][0]->code->value === 'picked', ProblemBuilder::word($block->time->start));
        }
        self::assertGreaterThanOrEqual(60, array_sum(array_map(static fn ($block): int => $picked->zone->dayOf($block->time->start)->number === $tuesday ? $block->time->length() : 0, $plan->blocks)));
    }

    #[Test]
    public function the_part_of_the_day_it_keeps_to_is_named_where_it_kept_it_from_lying_earlier(): void
    {
        $problem = self::with(self::week()->task('call', 30)->build(), static fn (Task $task): array => ['part' => 'afternoon'], ['afternoon' => [720, 1080]]);

        self::assertSame(['earliest_open, part_of_day(afternoon)'], self::sentences($problem)['call']);
    }

    #[Test]
    public function deep_work_in_the_best_hours_says_so(): void
    {
        $problem = self::with(self::week()->task('texts', 60, deep: true)->task('mail', 30, Importance::Low)->build(), static fn (): array => [], best: IntervalSet::covering(ProblemBuilder::interval('Mon 09:00', 'Mon 11:00')));

        self::assertSame(['earliest_open, best_hours'], self::sentences($problem)['texts']);
        self::assertSame(['earliest_open, behind_task(texts)'], self::sentences($problem)['mail']);
    }

    private static function week(): ProblemBuilder
    {
        return ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')->open('Tue 09:00', 'Tue 17:00')->open('Wed 09:00', 'Wed 17:00');
    }

    /**
     * @param  \Closure(Task): array<string, mixed>  $more  named arguments beside those it has
     * @param  array<string, array{int, int}>  $parts
     */
    private static function with(PlanningProblem $problem, \Closure $more, array $parts = [], ?IntervalSet $best = null): PlanningProblem
    {
        return new PlanningProblem(
            zone: $problem->zone, now: $problem->now, end: $problem->end, step: $problem->step, hours: $problem->hours, busy: $problem->busy,
            tasks: array_map(static fn (Task $task): Task => new Task(...[...get_object_vars($task), ...$more($task)]), $problem->tasks),
            anchored: $problem->anchored, previous: $problem->previous, parts: $parts, bestHours: $best,
        );
    }

    /** @return array<string, string> of the only block of each task */
    private static function why(ProblemBuilder $builder): array
    {
        return array_map(static fn (array $all): string => $all[0], self::sentences($builder->build()));
    }

    /** @return array<string, list<string>> by task, one for each block */
    private static function sentences(PlanningProblem $problem): array
    {
        $plan = (new Planner)->plan($problem);
        $all = [];
        foreach (array_keys($plan->blocks) as $i) {
            $all[$plan->blocks[$i]->task][] = self::sentence($plan, $i);
        }

        return $all;
    }

    private static function sentence(Plan $plan, int $index): string
    {
        return implode(', ', array_map(static function (Reason $reason) use ($plan, $index): string {
            $facts = $reason->facts;
            $about = match (true) {
                isset($facts['project']) => "{$plan->blocks[$index]->task} after {$facts['task']} of {$facts['project']}",
                isset($facts['end']) => ProblemBuilder::word((int) $facts['end']),
                isset($facts['at']) => ProblemBuilder::word((int) $facts['at']),
                isset($facts['due']) => ProblemBuilder::word((int) $facts['due']),
                isset($facts['day']) => gmdate('D', 86400 * (int) $facts['day']),
                default => (string) (reset($facts) ?: ''),
            };

            return $reason->code->value.($about === '' ? '' : "({$about})");
        }, $plan->reasons[$index]));
    }
}
