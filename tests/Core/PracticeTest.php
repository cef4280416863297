<?php

declare(strict_types=1);

namespace Tests\Core;

use Bench\Checker;
use Nekto\Core\Plan\InvalidProblem;
use Nekto\Core\Plan\MoveCause;
use Nekto\Core\Plan\PlanDifference;
use Nekto\Core\Planning\Format\PlanWriter;
use Nekto\Core\Planning\Format\ProblemReader;
use Nekto\Core\Planning\Planner;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** What people plan with, one thing at a time: the second format, in the week of Monday 2 March 2026. */
final class PracticeTest extends TestCase
{
    private const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri'];

    #[Test]
    public function a_due_date_is_the_end_of_that_days_hours_and_a_due_time_is_that_minute(): void
    {
        $read = self::read(['tasks' => [
            ['id' => 'date', 'minutes' => 30, 'hours' => 'office', 'due' => '2026-03-03'],
            ['id' => 'time', 'minutes' => 30, 'hours' => 'office', 'due' => '2026-03-03T11:00:00Z'],
            ['id' => 'sunday', 'minutes' => 30, 'hours' => 'office', 'due' => '2026-03-08'],
        ]]);

        self::assertSame(['Tue 17:00', 'Tue 11:00', 'Mon 00:00'], array_map(static fn ($task): string => ProblemBuilder::word($task->due->at ?? 0), $read->tasks));
    }

    #[Test]
    public function what_waits_for_an_answer_has_no_place_and_neither_has_what_comes_after_it(): void
    {
        $plan = self::plan(['tasks' => [
            ['id' => 'fee', 'minutes' => 30, 'hours' => 'office', 'waiting' => true],
            ['id' => 'contract', 'minutes' => 30, 'hours' => 'office', 'after' => ['fee']],
            ['id' => 'quotes', 'minutes' => 30, 'hours' => 'office'],
        ]]);

        self::assertSame(['Mon 09:00–09:30 quotes'], self::lines($plan));
        self::assertSame(['fee' => 'waiting', 'contract' => 'predecessor_unplaced'], array_column($plan['unplaced'], 'reason', 'task'));
    }

    #[Test]
    public function a_part_of_the_day_is_kept_also_when_work_is_carried_over(): void
    {
        $task = ['id' => 'walk-through', 'minutes' => 60, 'hours' => 'office', 'part' => 'afternoon'];
        $plan = self::plan(['tasks' => [$task]]);
        $carried = self::plan(['tasks' => [$task], 'now' => '2026-03-02T16:30:00Z', 'previous' => [self::block('walk-through', 'Mon 13:00', 'Mon 14:00')]]);

        self::assertSame(['Mon 13:00–14:00 walk-through'], self::lines($plan));
        self::assertSame('part_of_day', $plan['blocks'][0]['reasons'][1]['code']);
        self::assertSame(['Mon 16:30–17:00 walk-through', 'Tue 13:00–13:30 walk-through'], self::lines($carried));
    }

    #[Test]
    public function deep_work_goes_to_the_best_hours_if_that_makes_it_neither_late_nor_a_day_later(): void
    {
        $best = ['bestHours' => array_fill_keys(self::WEEKDAYS, [['10:00', '11:00']])];
        $essay = ['id' => 'essay', 'minutes' => 45, 'hours' => 'office', 'demand' => 'deep'];
        $plan = self::plan($best + ['tasks' => [$essay, ['id' => 'mail', 'minutes' => 15, 'hours' => 'office']]]);

        self::assertSame(['Mon 09:00–09:15 mail', 'Mon 10:00–10:45 essay'], self::lines($plan));
        self::assertContains('best_hours', array_column($plan['blocks'][1]['reasons'], 'code'));
        self::assertSame(['Mon 09:00–09:45 essay'], self::lines(self::plan($best + ['tasks' => [['due' => '2026-03-02T10:00:00Z'] + $essay]])), 'it would be late there');
        self::assertSame(['Mon 09:00–12:00 essay'], self::lines(self::plan($best + ['tasks' => [['minutes' => 180, 'maxChunk' => 240] + $essay]])), 'that would take three days');
    }

    #[Test]
    public function a_rest_comes_after_so_much_work_in_a_row(): void
    {
        $plan = self::plan(['breaks' => ['after' => 60, 'minutes' => 10], 'tasks' => [
            ['id' => 'a', 'minutes' => 45, 'hours' => 'office', 'importance' => 4], ['id' => 'b', 'minutes' => 60, 'hours' => 'office'],
        ]]);

        self::assertSame(['Mon 09:00–09:45 a', 'Mon 09:45–10:00 b', 'Mon 10:10–10:55 b'], self::lines($plan));
        self::assertSame(['2026-03-02T10:00:00+00:00'], array_column($plan['breaks'], 'start'));
    }

    #[Test]
    public function the_way_to_a_meeting_with_a_place_is_kept_free(): void
    {
        $meeting = ['start' => '2026-03-02T09:40:00Z', 'end' => '2026-03-02T10:00:00Z'];
        $task = ['tasks' => [['id' => 'a', 'minutes' => 60, 'hours' => 'office', 'minChunk' => 10]], 'travel' => 20];

        self::assertSame(['Mon 09:00–09:40 a', 'Mon 10:00–10:20 a'], self::lines(self::plan(['busy' => [$meeting]] + $task)));
        self::assertSame(['Mon 09:00–09:20 a', 'Mon 10:20–11:00 a'], self::lines(self::plan(['busy' => [$meeting + ['place' => 'Harrow Lane']]] + $task)));
        self::assertSame(['Mon 09:00–09:35 a', 'Mon 10:05–10:30 a'], self::lines(self::plan(['busy' => [$meeting + ['place' => 'Next door', 'travel' => 5]]] + $task)));
    }

    #[Test]
    public function single_days_can_have_limits_of_their_own_and_sets_of_hours_their_load_line(): void
    {
        $plan = self::plan([
            'limits' => ['dayMinutes' => null, 'deepMinutes' => 240, 'days' => ['2026-03-02' => ['deepMinutes' => 0]], 'hours' => ['office' => ['minutes' => 60, 'days' => ['2026-03-03' => 30]]]],
            'tasks' => [['id' => 'deep', 'minutes' => 30, 'hours' => 'office', 'demand' => 'deep', 'importance' => 4], ['id' => 'light', 'minutes' => 90, 'hours' => 'office']],
        ]);

        self::assertSame(['Mon 09:00–10:00 light', 'Tue 09:00–09:30 deep', 'Wed 09:00–09:30 light'], self::lines($plan));
    }

    #[Test]
    public function picks_stay_on_their_day_and_key_tasks_come_first(): void
    {
        $plan = self::plan(['tasks' => [
            ['id' => 'urgent', 'minutes' => 60, 'hours' => 'office', 'importance' => 4, 'due' => '2026-03-04'],
            ['id' => 'pick', 'minutes' => 30, 'hours' => 'office', 'importance' => 1, 'pick' => '2026-03-03'],
            ['id' => 'key', 'minutes' => 30, 'hours' => 'office', 'importance' => 1, 'pick' => '2026-03-03', 'key' => true],
            ['id' => 'too long', 'minutes' => 600, 'hours' => 'office', 'maxChunk' => 600, 'pick' => '2026-03-03'],
        ]]);

        self::assertSame(['Mon 09:00–10:00 urgent', 'Tue 09:00–09:30 key', 'Tue 09:30–10:00 pick'], self::lines(['blocks' => array_values(array_filter($plan['blocks'], static fn (array $block): bool => $block['task'] !== 'too long'))]));
        self::assertSame('picked', $plan['blocks'][array_search('key', array_column($plan['blocks'], 'task'), true)]['reasons'][0]['code']);
    }

    #[Test]
    public function a_pick_brings_what_must_be_finished_first_along(): void
    {
        $plan = self::plan(['tasks' => [
            ['id' => 'proofs', 'minutes' => 60, 'hours' => 'office', 'importance' => 1], ['id' => 'print', 'minutes' => 30, 'hours' => 'office', 'importance' => 1, 'after' => ['proofs'], 'pick' => '2026-03-02'],
            ['id' => 'vital', 'minutes' => 420, 'hours' => 'office', 'importance' => 4, 'maxChunk' => 420, 'due' => '2026-03-04'],
        ]]);

        self::assertContains('Mon 10:00–10:30 print', self::lines($plan));
    }

    #[Test]
    public function steps_of_a_sequential_project_come_one_after_another_and_others_as_they_like(): void
    {
        $steps = [
            ['id' => 'draft', 'minutes' => 60, 'hours' => 'office', 'importance' => 1, 'project' => 'guide'],
            ['id' => 'print', 'minutes' => 30, 'hours' => 'office', 'importance' => 4, 'project' => 'guide'],
        ];
        $sequential = self::plan(['projects' => ['guide' => 'sequential'], 'tasks' => $steps]);

        self::assertSame(['Mon 09:00–10:00 draft', 'Mon 10:00–10:30 print'], self::lines($sequential));
        self::assertSame(['code' => 'next_step', 'project' => 'guide', 'task' => 'draft'], $sequential['blocks'][1]['reasons'][0]);
        self::assertSame(['Mon 09:00–09:30 print', 'Mon 09:30–10:30 draft'], self::lines(self::plan(['projects' => ['guide' => 'parallel'], 'tasks' => $steps])));
    }

    #[Test]
    public function small_light_tasks_of_one_context_are_done_together(): void
    {
        $call = static fn (string $id, array $more = []): array => $more + ['id' => $id, 'minutes' => 10, 'hours' => 'office', 'context' => 'calls', 'importance' => 2];
        $plan = self::plan(['batches' => ['minutes' => 30, 'small' => 15], 'tasks' => [
            $call('one'), ['id' => 'essay', 'minutes' => 60, 'hours' => 'office', 'importance' => 3, 'demand' => 'deep'], $call('two', ['importance' => 1]), $call('three'),
            $call('four'), $call('long', ['minutes' => 25]), $call('deep', ['demand' => 'deep']),
        ]]);
        $ends = array_column($plan['blocks'], 'end', 'task');
        $starts = array_column($plan['blocks'], 'start', 'task');

        self::assertSame([['calls', 3]], array_map(static fn (array $batch): array => [$batch['context'], count($batch['tasks'])], $plan['batches']), 'the fourth is alone and no batch');
        foreach (array_slice($plan['batches'][0]['tasks'], 1) as $i => $next) {
            self::assertSame($ends[$plan['batches'][0]['tasks'][$i]], $starts[$next], 'one after another');
        }
    }

    #[Test]
    public function a_block_begun_stays_and_counts(): void
    {
        $plan = self::plan(['now' => '2026-03-02T09:20:00Z', 'begun' => [self::block('essay', 'Mon 09:00', 'Mon 09:45')], 'tasks' => [
            ['id' => 'essay', 'minutes' => 60, 'hours' => 'office'], ['id' => 'vital', 'minutes' => 30, 'hours' => 'office', 'importance' => 4],
        ]]);

        self::assertSame(['Mon 09:00–09:45 essay', 'Mon 09:45–10:15 vital', 'Mon 10:15–10:30 essay'], self::lines($plan));
    }

    #[Test]
    public function what_is_frozen_does_not_move_even_for_something_better(): void
    {
        $problem = [
            'previous' => [self::block('low', 'Mon 09:00', 'Mon 10:00'), self::block('later', 'Mon 10:00', 'Mon 11:00')],
            'tasks' => [
                ['id' => 'low', 'minutes' => 60, 'hours' => 'office', 'importance' => 1], ['id' => 'later', 'minutes' => 60, 'hours' => 'office', 'importance' => 1],
                ['id' => 'vital', 'minutes' => 60, 'hours' => 'office', 'importance' => 4, 'due' => '2026-03-02T11:00:00Z', 'hard' => true],
            ],
        ];
        $frozen = self::plan($problem + ['freeze' => 90]);

        self::assertSame(['Mon 09:00–10:00 low', 'Mon 10:00–11:00 vital'], array_slice(self::lines($frozen), 0, 2));
        self::assertSame('frozen', $frozen['blocks'][0]['reasons'][0]['code']);
        self::assertSame('Mon 09:00–10:00 vital', self::lines(self::plan($problem))[0]);
    }

    #[Test]
    public function reserved_time_stays_free_and_focus_time_is_for_deep_work(): void
    {
        $plan = self::plan(['reserved' => [
            ['name' => 'Mail', 'days' => ['mon'], 'from' => '09:00', 'to' => '09:30'], ['name' => 'Focus', 'days' => ['mon'], 'from' => '09:30', 'to' => '10:30', 'for' => 'deep'],
        ], 'tasks' => [['id' => 'light', 'minutes' => 30, 'hours' => 'office', 'importance' => 4], ['id' => 'deep', 'minutes' => 60, 'hours' => 'office', 'demand' => 'deep']]]);

        self::assertSame(['Mon 09:30–10:30 deep', 'Mon 10:30–11:00 light'], self::lines($plan));
        self::assertContains('behind_deep_time', array_column($plan['blocks'][1]['reasons'], 'code'));
    }

    #[Test]
    public function habits_are_spread_over_the_week_at_most_one_a_day(): void
    {
        $habit = ['id' => 'stretch', 'minutes' => 30, 'times' => 3, 'hours' => 'office', 'part' => 'morning'];

        self::assertSame(['Mon 09:00–09:30 stretch', 'Wed 09:00–09:30 stretch', 'Fri 09:00–09:30 stretch'], self::habits(self::plan(['habits' => [$habit]])));
        self::assertSame(['Wed 09:00–09:30 stretch', 'Fri 09:00–09:30 stretch'], self::habits(self::plan(['now' => '2026-03-03T12:30:00Z', 'horizonDays' => 5, 'habits' => [['done' => ['2026-03-02']] + $habit]])));
    }

    #[Test]
    public function a_habit_without_a_day_left_says_so(): void
    {
        $plan = self::plan(['now' => '2026-03-06T12:30:00Z', 'horizonDays' => 3, 'habits' => [['id' => 'stretch', 'minutes' => 30, 'times' => 3, 'hours' => 'office', 'part' => 'morning']]]);

        self::assertSame([['task' => 'stretch#2026-03-02#1', 'minutes' => 30, 'reason' => 'no_day_left']], $plan['unplaced']);
    }

    #[Test]
    public function calm_leaves_what_eager_moves(): void
    {
        $problem = ['previous' => [self::block('low', 'Mon 09:00', 'Mon 12:00')], 'tasks' => [
            ['id' => 'low', 'minutes' => 180, 'hours' => 'office', 'importance' => 1, 'maxChunk' => 180], ['id' => 'new', 'minutes' => 60, 'hours' => 'office', 'importance' => 3],
        ]];

        self::assertSame(['Mon 09:00–12:00 low', 'Mon 13:00–14:00 new'], self::lines(self::plan($problem)));
        self::assertSame('Mon 09:00–10:00 new', self::lines(self::plan($problem + ['tempo' => 'eager']))[0]);
    }

    #[Test]
    public function moves_say_that_a_part_of_the_day_or_a_pick_was_their_cause(): void
    {
        $read = self::read(['previous' => [self::block('part', 'Mon 10:00', 'Mon 11:00'), self::block('pick', 'Mon 11:00', 'Mon 12:00'), self::block('wait', 'Mon 09:00', 'Mon 10:00')], 'tasks' => [
            ['id' => 'part', 'minutes' => 60, 'hours' => 'office', 'part' => 'afternoon'], ['id' => 'pick', 'minutes' => 60, 'hours' => 'office', 'pick' => '2026-03-05'],
            ['id' => 'wait', 'minutes' => 60, 'hours' => 'office', 'waiting' => true],
        ]]);
        $causes = [];
        foreach ((new PlanDifference($read, (new Planner)->plan($read)))->moves() as $move) {
            $causes[$move->task] = $move->cause;
        }

        self::assertSame([MoveCause::OutsidePart, MoveCause::Picked, MoveCause::Waiting], [$causes['part'], $causes['pick'], $causes['wait']]);
    }

    /** @param  array<string, mixed>  $change */
    #[Test]
    #[DataProvider('unusable')]
    public function what_cannot_be_is_refused_with_its_path(array $change, string $said): void
    {
        $this->expectException(InvalidProblem::class);
        $this->expectExceptionMessage($said);
        self::read($change);
    }

    /** @return list<array{array<string, mixed>, string}> */
    public static function unusable(): array
    {
        $task = ['id' => 'a', 'minutes' => 30, 'hours' => 'office'];

        return [
            [['tasks' => [$task + ['part' => 'dusk']]], 'tasks[0].part: there is no part of the day "dusk"'],
            [['tasks' => [$task + ['due' => '2026-02-30']]], 'problem.tasks[0].due'],
            [['tasks' => [$task + ['pick' => 'monday']]], 'problem.tasks[0].pick'],
            [['tasks' => [$task + ['importance' => 9]]], 'problem.tasks[0].importance: must be 1 to 4, not 9'],
            [['projects' => ['guide' => 'sequential'], 'tasks' => [$task + ['project' => 'guide', 'after' => ['b']], ['id' => 'b', 'project' => 'guide'] + $task]], 'comes after itself'],
            [['projects' => ['guide' => 'zigzag']], 'problem.projects.guide: must be "sequential" or "parallel"'],
            [['breaks' => ['after' => 0, 'minutes' => 10]], 'problem.breaks.after: must be 1 to 1440, not 0'],
            [['batches' => ['minutes' => 10, 'small' => 20]], 'batches: needs 0 < small <= minutes'],
            [['reserved' => [['name' => 'x', 'days' => ['moonday'], 'from' => '09:00', 'to' => '10:00']]], 'problem.reserved[0].days: there is no day "moonday"'],
            [['reserved' => [['name' => 'x', 'days' => ['mon'], 'from' => '10:00', 'to' => '10:00']]], 'problem.reserved[0]: Hours must end after they start'],
            [['habits' => [['id' => 'h', 'minutes' => 33, 'times' => 3, 'hours' => 'office']]], 'habits[0].minutes: must be a positive multiple of step'],
            [['habits' => [['id' => 'h', 'minutes' => 30, 'times' => 9, 'hours' => 'office']]], 'problem.habits[0].times: must be 1 to 7, not 9'],
            [['habits' => [['id' => 'h', 'minutes' => 30, 'times' => 3, 'hours' => 'attic']]], 'habits[0].hours: there is no hours set "attic"'],
            [['parts' => ['morning' => [['12:00', '06:00']]]], 'problem.parts.morning: Hours must end after they start'],
            [['tempo' => 'frantic'], 'problem.tempo: must be "calm", "even" or "eager"'],
            [['limits' => ['dayMinutes' => null, 'deepMinutes' => null, 'days' => ['soon' => ['dayMinutes' => 5]]]], 'problem.limits.days'],
            [['begun' => [self::block('a', 'Mon 09:00', 'Mon 10:00')], 'anchored' => [self::block('a', 'Mon 09:30', 'Mon 10:30')], 'tasks' => [['minutes' => 120] + $task]], 'anchored: two anchored blocks overlap'],
            [['tasks' => array_map(static fn (int $i): array => ['id' => "t{$i}"] + $task, range(0, 9999))], 'tasks: are 10000, more than the 5000'],
        ];
    }

    #[Test]
    public function due_before_now_is_late_and_planned_at_once(): void
    {
        $plan = self::plan(['tasks' => [['id' => 'a', 'minutes' => 30, 'hours' => 'office', 'due' => '2026-02-20'], ['id' => 'b', 'minutes' => 30, 'hours' => 'office']]]);

        self::assertSame('Mon 09:00–09:30 a', self::lines($plan)[0]);
        self::assertContains('late', array_column($plan['blocks'][0]['reasons'], 'code'));
    }

    /** @param  array<string, mixed>  $change */
    private static function read(array $change): \Nekto\Core\Plan\PlanningProblem
    {
        return (new ProblemReader)->read(json_encode(self::problem($change), JSON_THROW_ON_ERROR));
    }

    /**
     * A plan, of which the checker has found it valid.
     *
     * @param  array<string, mixed>  $change
     * @return array<string, mixed>
     */
    private static function plan(array $change): array
    {
        $read = self::read($change);
        $plan = json_decode((new PlanWriter($read->zone))->write((new Planner)->plan($read)), true, 64, JSON_THROW_ON_ERROR);
        self::assertSame([], (new Checker(self::problem($change)))->faults($plan));

        return $plan;
    }

    /**
     * @param  array<string, mixed>  $change
     * @return array<string, mixed>
     */
    private static function problem(array $change): array
    {
        return $change + [
            'format' => 'nekto-problem/2', 'zone' => 'UTC', 'now' => '2026-03-02T08:00:00Z', 'horizonDays' => 7, 'step' => 5,
            'hours' => ['office' => array_fill_keys(self::WEEKDAYS, [['09:00', '12:00'], ['13:00', '17:00']])],
            'busy' => [], 'buffer' => ['before' => 0, 'after' => 0], 'limits' => ['dayMinutes' => null, 'deepMinutes' => null],
            'tasks' => [], 'anchored' => [], 'previous' => [],
        ];
    }

    /** @return array{task: string, start: string, end: string} */
    private static function block(string $task, string $from, string $to): array
    {
        return ['task' => $task, 'start' => gmdate(DATE_RFC3339, 60 * ProblemBuilder::minute($from)), 'end' => gmdate(DATE_RFC3339, 60 * ProblemBuilder::minute($to))];
    }

    /**
     * @param  array<string, mixed>  $plan
     * @return list<string>
     */
    private static function lines(array $plan): array
    {
        return array_map(static fn (array $block): string => (new \DateTimeImmutable($block['start']))->format('D H:i').'–'.(new \DateTimeImmutable($block['end']))->format('H:i').' '.strtok($block['task'], '#'), $plan['blocks']);
    }

    /**
     * @param  array<string, mixed>  $plan
     * @return list<string> of the first week
     */
    private static function habits(array $plan): array
    {
        return array_values(array_filter(self::lines($plan), static fn (string $line): bool => str_contains($line, 'stretch')));
    }
}
