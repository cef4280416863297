<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Capture\HabitLine;
use Nekto\Core\Goals\CycleWeeks;
use Nekto\Core\Goals\EvenPace;
use Nekto\Core\Goals\GoalChance;
use Nekto\Core\Goals\Kept;
use Nekto\Core\Goals\Measure;
use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\Habit;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Prospect\Ratios;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Zone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Weeks of a cycle, measures, even pace, steps, chances, and habits with times of their own. */
final class GoalsTest extends TestCase
{
    #[Test]
    public function weeks_are_counted_from_the_first_day_also_over_the_turn_of_the_year(): void
    {
        $weeks = new CycleWeeks(LocalDay::fromString('2025-12-15'), 12);

        self::assertSame([null, 1, 1, 2, 3, 12, null], array_map(static fn (string $day): ?int => $weeks->of(LocalDay::fromString($day)), ['2025-12-14', '2025-12-15', '2025-12-21', '2025-12-22', '2026-01-01', '2026-03-08', '2026-03-09']));
        self::assertSame('2026-03-08', $weeks->last()->asString());
        self::assertSame('2026-03-09', $weeks->begin(13)->asString());
        self::assertFalse($weeks->isOver($weeks->last()));
        self::assertTrue($weeks->isOver($weeks->last()->plusDays(1)));
    }

    #[Test]
    public function a_measure_says_where_it_stood_or_adds_up_what_came(): void
    {
        $said = new Measure([[300, 4.0], [100, 1.0], [200, 2.5]], adds: false);
        self::assertSame([0.0, 1.0, 2.5, 2.5, 4.0], array_map(static fn (int $at): float => $said->at($at, 0), [99, 100, 200, 299, 1000]));

        $run = new Measure([[100, 5.0], [200, 5.0], [300, 4.5]], adds: true);
        self::assertSame(10.0, $run->at(299, 0));
        self::assertSame(9.5, $run->at(300, 150), 'what was before the week does not count');
        self::assertSame(0.0, $run->at(99, 0));
    }

    #[Test]
    public function an_even_pace_stands_at_its_share_of_the_working_days(): void
    {
        self::assertSame(3.0, EvenPace::over(6.0, 20.0, 40.0));
        self::assertSame(6.0, EvenPace::over(6.0, 50.0, 40.0), 'never beyond the target');
        self::assertSame(0.0, EvenPace::over(6.0, -3.0, 40.0));
        self::assertSame(6.0, EvenPace::over(6.0, 0.0, 0.0), 'without a working day all is due');
        self::assertSame(7.5, EvenPace::ofWeek(15.0, 3.5));
    }

    #[Test]
    public function a_step_is_kept_until_the_last_minute_of_its_week(): void
    {
        self::assertSame(Kept::Kept, Kept::of(999, 1000, 5000));
        self::assertSame(Kept::Missed, Kept::of(1000, 1000, 5000), 'done in the next week');
        self::assertSame(Kept::ToCome, Kept::of(null, 1000, 999));
        self::assertSame(Kept::Missed, Kept::of(null, 1000, 1000));
    }

    #[Test]
    public function a_chance_is_the_share_of_runs_in_which_all_fits(): void
    {
        $as = Ratios::exact();
        $half = new Ratios([1.0, 1.0, 2.0, 2.0]);

        self::assertSame(1.0, GoalChance::of([], 0));
        self::assertSame(1.0, GoalChance::of([[60, $as], [60, $as]], 120));
        self::assertSame(0.0, GoalChance::of([[60, $as], [60, $as]], 119));
        self::assertEqualsWithDelta(0.5, GoalChance::of([[60, $half]], 90), 0.1);
        self::assertSame(GoalChance::of([[60, $half], [30, $half]], 120), GoalChance::of([[60, $half], [30, $half]], 120), 'the same seed');
        self::assertGreaterThanOrEqual(GoalChance::of([[600, $half]], 700), GoalChance::of([[600, $half]], 800), 'more time is no worse');
        self::assertNull(GoalChance::ofWeeks(0, 0));
        self::assertEqualsWithDelta(0.833, GoalChance::ofWeeks(5, 6), 0.001);
    }

    /** @return array<string, array{string, int, string}> */
    public static function habits(): array
    {
        return [
            'times a week' => ['canal loop 30 min 3 times a week in the evening', 3, 'canal loop 30 min in the evening'],
            'a sign' => ['Stretch 2x a week', 2, 'Stretch'],
            'a word' => ['photographs twice a week, 20 min', 2, 'photographs, 20 min'],
            'each day' => ['read every day 15 min', 7, 'read 15 min'],
            'written out' => ['five times per week water the ferns', 5, 'water the ferns'],
            'nothing said' => ['polish the brass', 1, 'polish the brass'],
            'too often, as it is written' => ['breathe 12 times a week', 12, 'breathe'],
            'weekly is no number' => ['the weekly round', 1, 'the weekly round'],
        ];
    }

    #[Test]
    #[DataProvider('habits')]
    public function how_often_a_week_is_read_from_a_line(string $line, int $times, string $rest): void
    {
        $habit = HabitLine::of($line);

        self::assertSame([$times, $rest], [$habit->times, $habit->rest]);
    }

    #[Test]
    public function times_that_have_names_are_laid_each_on_a_day_of_its_own_within_from_and_until(): void
    {
        $plan = (new Planner(0))->plan($this->problem(new Habit('habit 1', 30, 3, 'evening', named: [20_521 => ['11', '12', '13'], 20_528 => ['21']], from: 20_523, until: 20_528)));

        $days = [];
        foreach ($plan->blocks as $block) {
            $days[$block->task][] = (new Zone('UTC'))->dayOf($block->time->start)->number;
        }
        self::assertSame(['11', '12', '13', '21'], array_map(strval(...), array_keys($days)), 'in the order of their days, and no other week');
        self::assertSame([20_523, 20_525, 20_527, 20_528], array_merge(...array_values($days)), 'spread over the days from Wednesday on, once a day');
    }

    #[Test]
    public function a_week_may_begin_on_a_sunday(): void
    {
        $plan = (new Planner(0))->plan($this->problem(new Habit('habit 1', 30, 2, 'evening', named: [20_520 => ['1', '2'], 20_527 => ['3', '4']], weekStarts: 7)));

        $weeks = array_map(static fn (Block $block): int => intdiv((new Zone('UTC'))->dayOf($block->time->start)->number - 20_520, 7), $plan->blocks);
        self::assertSame([0, 0, 1, 1], $weeks);
    }

    /** Two weeks from Monday 9 March 2026 on, an hour each evening. */
    private function problem(Habit $habit): PlanningProblem
    {
        $zone = new Zone('UTC');
        $hours = [];
        for ($day = 20_521; $day < 20_535; $day++) {
            $hours[] = new Interval($zone->at(new LocalDay($day), 1080), $zone->at(new LocalDay($day), 1140));
        }

        return new PlanningProblem($zone, $zone->at(new LocalDay(20_521), 480), $zone->at(new LocalDay(20_535), 0), 5, ['evening' => IntervalSet::covering(...$hours)], IntervalSet::empty(), [], habits: [$habit]);
    }
}
