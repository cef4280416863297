<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\FreeTime;
use Nekto\Core\Planning\Promises\Commitments;
use Nekto\Core\Planning\Promises\HabitTime;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\LocalDay;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** What is laid before anything is weighed against anything. */
final class CommitmentsTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function without_promises_all_time_stays_free(): void
    {
        self::assertSame([], self::kept(self::week()->task('mail', 30)->task('quotes', 60, due: 'Mon 10:00')->build()));
    }

    #[Test]
    public function key_tasks_of_a_day_are_laid_before_its_other_picks_whatever_is_more_urgent(): void
    {
        $problem = self::picked(self::week()->task('pick', 60, due: 'Tue 10:00')->task('key', 60)->task('rest', 30)->build(), ['pick' => 1, 'key' => 1], key: 'key');

        self::assertSame(['Tue 09:00–10:00 key', 'Tue 10:00–11:00 pick'], self::kept($problem));
    }

    #[Test]
    public function a_pick_stays_where_the_last_plan_has_it_on_that_day_and_leaves_another_day(): void
    {
        $problem = self::picked(self::week()->task('same day', 60)->task('other day', 60)
            ->previous('same day', 'Tue 11:00', 'Tue 12:00')->previous('other day', 'Wed 09:00', 'Wed 10:00')->build(), ['same day' => 1, 'other day' => 1]);

        self::assertSame(['Tue 09:00–10:00 other day', 'Tue 11:00–12:00 same day'], self::kept($problem));
    }

    #[Test]
    public function a_pick_that_does_not_fit_its_day_whole_leaves_no_trace(): void
    {
        $problem = self::picked(self::week()->task('before', 60)->task('long', 480, after: ['before'])->build(), ['long' => 1]);

        self::assertSame([], self::kept($problem));
    }

    #[Test]
    public function of_a_pick_that_does_not_fit_its_day_whole_its_share_is_laid_there(): void
    {
        self::assertSame(['Tue 09:00–11:00 essay'], self::kept(self::picked(self::week()->task('essay', 900)->build(), ['essay' => 1], share: 120)));
        self::assertSame(
            ['Tue 09:00–11:00 key', 'Tue 11:00–13:00 essay', 'Tue 13:00–13:30 mail'],
            self::kept(self::picked(self::week()->task('essay', 900)->task('mail', 30)->task('key', 900)->build(), ['essay' => 1, 'mail' => 1, 'key' => 1], 'key', 120)),
        );
    }

    #[Test]
    public function a_long_pick_leaves_time_to_the_others_of_a_full_day_and_then_has_what_they_leave(): void
    {
        $three = static fn (string $from, int $held): PlanningProblem => self::picked(self::week()->anchored('held', 'Tue 09:00', $from)->task('held', $held)
            ->task('essay', 900)->task('mail', 30)->task('quotes', 30)->build(), ['essay' => 1, 'mail' => 1, 'quotes' => 1], 'essay', 120);

        self::assertSame(['Tue 14:00–16:00 essay', 'Tue 16:00–16:30 mail', 'Tue 16:30–17:00 quotes'], self::kept($three('Tue 14:00', 300)));
        self::assertSame(['Tue 15:00–16:00 essay', 'Tue 16:00–16:30 mail', 'Tue 16:30–17:00 quotes'], self::kept($three('Tue 15:00', 360)));
        self::assertSame(['Tue 14:40–15:40 essay', 'Tue 15:40–16:10 mail', 'Tue 16:10–16:40 quotes', 'Tue 16:40–17:00 essay'], self::kept($three('Tue 14:40', 340)));
    }

    #[Test]
    public function where_less_than_the_share_is_free_that_much_is_laid_and_no_rest_too_short_for_a_block_is_left(): void
    {
        $full = static fn (): ProblemBuilder => self::week()->anchored('held', 'Tue 09:00', 'Tue 16:00')->task('held', 420);
        self::assertSame(['Tue 16:00–17:00 essay'], self::kept(self::picked($full()->task('essay', 300)->build(), ['essay' => 1], share: 120)));
        self::assertSame(['Tue 16:00–16:25 essay', 'Tue 16:25–16:50 big'], self::kept(self::picked($full()->task('essay', 60)->task('big', 900)->build(), ['essay' => 1, 'big' => 1], share: 50)));
    }

    #[Test]
    public function what_is_anchored_or_stays_on_the_day_counts_to_its_share(): void
    {
        $half = self::week()->task('essay', 900)->anchored('essay', 'Tue 14:00', 'Tue 15:00');
        self::assertSame(['Tue 09:00–10:00 essay'], self::kept(self::picked($half->build(), ['essay' => 1], share: 120)));
        $stays = self::week()->task('essay', 900)->previous('essay', 'Tue 10:00', 'Tue 12:00')->previous('essay', 'Mon 09:00', 'Mon 11:00');
        self::assertSame(['Tue 10:00–12:00 essay'], self::kept(self::picked($stays->build(), ['essay' => 1], share: 120)));
    }

    #[Test]
    public function what_is_due_today_comes_among_the_picks_of_today_by_its_urgency_if_there_are_any(): void
    {
        $week = static fn (): ProblemBuilder => self::week()->now('Mon 09:00')->task('due today', 60, due: 'Mon 17:00')->task('due tomorrow', 60, due: 'Tue 17:00')->task('key', 60)->task('pick', 60);

        self::assertSame(['Mon 09:00–10:00 key', 'Mon 10:00–11:00 due today', 'Mon 11:00–12:00 pick'], self::kept(self::picked($week()->build(), ['pick' => 0, 'key' => 0], 'key')));
        self::assertSame(['Tue 09:00–10:00 pick'], self::kept(self::picked($week()->build(), ['pick' => 1])));
    }

    /** One open day without gaps: whether shares fit is then a sum. */
    #[Test]
    public function whatever_is_picked_stays_under_the_line_and_where_the_shares_fit_all_of_them_are_there(): void
    {
        $pick = Generators::tuple(Generators::choose(3, 60), Generators::bool());
        $this->limitTo(Runs::of(300))->forAll(Generators::vector(6, $pick), Generators::choose(6, 96))->disableShrinking()->then(function (array $drawn, int $line): void {
            $week = self::week()->dayLimit(5 * $line);
            $days = $wanted = [];
            foreach ($drawn as $i => [$steps]) {
                $week->task("t{$i}", 5 * $steps);
                $days["t{$i}"] = 1;
                $wanted[] = min(120, 5 * $steps);
            }
            $problem = self::picked($week->build(), $days, $drawn[0][1] ? 't0' : '', 120);
            $got = array_map(static fn (int $i): int => self::commitments($problem)->table->keptMinutes($i), array_keys($drawn));

            self::assertLessThanOrEqual(5 * $line, array_sum($got));
            foreach ($got as $i => $minutes) {
                self::assertLessThanOrEqual($wanted[$i] + 10, $minutes, 'no more than its share, but for a rest too short for a block');
            }
            if (array_sum($wanted) + 15 * count($wanted) <= 5 * $line) {
                foreach ($got as $i => $minutes) {
                    self::assertGreaterThanOrEqual($wanted[$i] - 15, $minutes, "t{$i}");
                }
            }
        });
    }

    #[Test]
    public function what_a_pick_waits_for_is_laid_before_it(): void
    {
        $problem = self::picked(self::week()->task('proofs', 60)->task('print', 30, after: ['proofs'])->build(), ['print' => 0]);

        self::assertSame(['Mon 09:00–10:00 proofs', 'Mon 10:00–10:30 print'], self::kept($problem));
    }

    #[Test]
    public function the_freeze_keeps_what_begins_in_it_unless_its_predecessor_is_not_done(): void
    {
        $week = self::week()->task('begun', 60)->task('later', 60)->task('first', 30)->task('next', 30, after: ['first'])
            ->previous('begun', 'Mon 09:00', 'Mon 10:00')->previous('next', 'Mon 10:00', 'Mon 10:30')->previous('later', 'Mon 14:00', 'Mon 15:00');

        self::assertSame(['Mon 09:00–10:00 begun'], self::kept($week->freeze(180)->build()));
        self::assertSame([], self::kept($week->freeze(0)->build()));
    }

    #[Test]
    public function times_of_a_habit_get_days_of_their_own_and_those_that_stay_choose_first(): void
    {
        $monday = LocalDay::of(2026, 3, 2)->number;
        $days = [$monday, $monday + 1, $monday + 2];
        $problem = self::week()->task('walk 1', 30)->task('walk 2', 30)->task('walk 3', 30)->task('walk 4', 30)->previous('walk 4', 'Tue 10:00', 'Tue 10:30')->build();
        $habits = [];
        foreach ([0, 1, 2, 3] as $time) {
            $habits['walk '.($time + 1)] = new HabitTime('walk', $days, $time, 4);
        }
        $commitments = self::commitments($problem, $habits);

        self::assertSame(['Mon 09:00–09:30 walk 1', 'Tue 10:00–10:30 walk 4', 'Wed 09:00–09:30 walk 2'], self::lines($problem, $commitments));
        self::assertSame([2], $commitments->without, 'three days hold three times');
    }

    private static function week(): ProblemBuilder
    {
        return ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')->open('Tue 09:00', 'Tue 17:00')->open('Wed 09:00', 'Wed 17:00');
    }

    /**
     * @param  array<string, int>  $days  by task: days after Monday
     * @param  int|null  $share  of each, minutes
     */
    private static function picked(PlanningProblem $problem, array $days, string $key = '', ?int $share = null): PlanningProblem
    {
        return $problem->with(tasks: array_map(static fn (Task $task): Task => isset($days[$task->id]) ? new Task(
            $task->id, $task->minutes, $task->importance, $task->hours, $task->due, $task->notBefore, $task->minChunk, max(240, $task->maxChunk), $task->after, $task->demand,
            pick: LocalDay::of(2026, 3, 2)->number + $days[$task->id], pickMinutes: $share, key: $task->id === $key,
        ) : $task, $problem->tasks));
    }

    /** @param  array<string, HabitTime>  $habits */
    private static function commitments(PlanningProblem $problem, array $habits = []): Commitments
    {
        return new Commitments(new Compiled($problem, new FreeTime($problem)), array_keys($problem->tasks), $habits);
    }

    /** @return list<string> */
    private static function kept(PlanningProblem $problem): array
    {
        return self::lines($problem, self::commitments($problem));
    }

    /** @return list<string> blocks of the time table, in order of time */
    private static function lines(PlanningProblem $problem, Commitments $commitments): array
    {
        $lines = [];
        foreach ($problem->tasks as $i => $task) {
            foreach ($commitments->table->keptOf($i) as [$start, $end]) {
                $lines[$start] = ProblemBuilder::word($start).'–'.substr(ProblemBuilder::word($end), 4).' '.$task->id;
            }
        }
        ksort($lines);

        return array_values($lines);
    }
}
