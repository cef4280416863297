<?php

declare(strict_types=1);

namespace Tests\Core;

use Bench\Checker;
use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\DayBegins;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Plan\ReasonCode;
use Nekto\Core\Planning\Format\PlanWriter;
use Nekto\Core\Planning\Format\ProblemReader;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\LocalDay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** How a day that is laid out begins, and where deep work goes. */
final class ArrangementTest extends TestCase
{
    use TestTrait;

    /** @param  list<string>  $order */
    #[Test]
    #[DataProvider('beginnings')]
    public function a_day_begins_as_the_person_likes(DayBegins $begins, array $order): void
    {
        self::assertSame($order, self::titles(self::day()->begins($begins)));
    }

    /** @return array<string, array{DayBegins, list<string>}> */
    public static function beginnings(): array
    {
        return [
            'with what pulls most, key tasks early' => [DayBegins::Pull, ['Floor plan', 'Quotes', 'Dentist', 'Essay']],
            'with what is hardest' => [DayBegins::Hard, ['Essay', 'Floor plan', 'Quotes', 'Dentist']],
            'with something light' => [DayBegins::Light, ['Quotes', 'Floor plan', 'Dentist', 'Essay']],
        ];
    }

    /** A short call is not before the vital work that pulls more, however little it takes. */
    #[Test]
    public function what_pulls_most_comes_first_of_key_tasks_too(): void
    {
        $day = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')
            ->task('Call', minutes: 15, importance: Importance::Vital, due: 'Mon 17:00', pick: 'Mon', key: true)
            ->task('Essay', minutes: 120, importance: Importance::Vital, due: 'Mon 17:00', deep: true, pick: 'Mon', key: true)
            ->task('Quotes', minutes: 20, importance: Importance::Vital, due: 'Mon 17:00', pick: 'Mon')->begins(DayBegins::Pull);

        self::assertSame(['Call', 'Essay', 'Quotes'], self::titles($day), 'of those that pull alike the more urgent');
        self::assertSame(['Essay', 'Call', 'Quotes'], self::titles($day->pulls(['Call' => 64, 'Essay' => 84, 'Quotes' => 90])));
    }

    #[Test]
    public function nothing_gets_late_by_it(): void
    {
        $day = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')
            ->task('Essay', minutes: 120, importance: Importance::Vital, deep: true)->task('Quotes', minutes: 60, importance: Importance::Low, due: 'Mon 10:00');

        self::assertSame(['Quotes', 'Essay'], self::titles($day->begins(DayBegins::Hard)));
    }

    #[Test]
    public function what_comes_after_something_stays_after_it(): void
    {
        $day = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 13:00')
            ->task('Measure', minutes: 30)->task('Essay', minutes: 120, deep: true, after: ['Measure'])->task('Quotes', minutes: 30, importance: Importance::Vital);

        self::assertSame(['Measure', 'Essay', 'Quotes'], self::titles($day->begins(DayBegins::Hard)));
    }

    #[Test]
    public function what_is_anchored_stays_and_the_others_are_laid_around_it(): void
    {
        $day = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->anchored('Call', 'Mon 10:00', 'Mon 10:30')
            ->task('Call', minutes: 30)->task('Quotes', minutes: 60, importance: Importance::Vital)->task('Essay', minutes: 60, least: 60, deep: true);

        self::assertSame(['Essay', 'Call', 'Quotes'], self::titles($day->begins(DayBegins::Hard)));
    }

    #[Test]
    public function nothing_is_cut_into_more_pieces_for_it(): void
    {
        $day = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 10:00')->open('Mon 11:00', 'Mon 13:00')
            ->task('Quotes', minutes: 60, importance: Importance::Vital)->task('Essay', minutes: 120, importance: Importance::Low, least: 30, deep: true);

        self::assertSame(['Quotes', 'Essay'], self::titles($day->begins(DayBegins::Hard)), 'the essay before the quotes would be two pieces');
    }

    #[Test]
    public function a_day_that_has_begun_has_no_beginning_any_more(): void
    {
        self::assertSame('Floor plan', self::titles(self::day()->now('Mon 09:10')->begins(DayBegins::Light))[0]);
        self::assertSame('Quotes', self::titles(self::day()->now('Mon 09:00')->begins(DayBegins::Light))[0]);
    }

    #[Test]
    public function where_a_plan_is_mended_only_a_day_that_is_laid_out_is_arranged(): void
    {
        $day = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 12:00')->open('Tue 09:00', 'Tue 12:00')
            ->task('Quotes', minutes: 30)->task('Essay', minutes: 60, deep: true)->task('Call', minutes: 30)->task('Proofs', minutes: 60, deep: true)
            ->previous('Quotes', 'Mon 09:00', 'Mon 09:30')->previous('Essay', 'Mon 09:30', 'Mon 10:30')->previous('Call', 'Tue 09:00', 'Tue 09:30')->previous('Proofs', 'Tue 09:30', 'Tue 10:30');

        self::assertSame(['Quotes', 'Essay', 'Call', 'Proofs'], self::titles($day->begins(DayBegins::Hard)));
        self::assertSame(['Quotes', 'Essay', 'Proofs', 'Call'], self::titles($day->begins(DayBegins::Hard, laidOut: 'Tue')));
        self::assertSame(['Quotes', 'Essay', 'Call', 'Proofs'], self::titles($day->now('Mon 08:00')->begins(DayBegins::Hard, laidOut: 'Wed')));
    }

    /** To move what lies there is what was asked for: nothing leaves the day or gets late because a move would count. */
    #[Test]
    public function on_a_day_that_is_laid_out_moves_cost_nothing(): void
    {
        $day = static fn (?string $laidOut): ProblemBuilder => ProblemBuilder::problem()->open('Mon 09:00', 'Mon 09:30')->open('Mon 10:00', 'Mon 10:30')->open('Mon 11:00', 'Mon 11:45')->open('Tue 09:00', 'Tue 12:00')
            ->task('a', minutes: 30, due: 'Fri 12:00', pick: 'Mon')->task('b', minutes: 30, due: 'Fri 12:00', pick: 'Mon')->task('Case list', minutes: 45, least: 45, due: 'Fri 12:00', pick: 'Mon')
            ->previous('a', 'Mon 09:00', 'Mon 09:30')->previous('b', 'Mon 11:00', 'Mon 11:30')->previous('Case list', 'Tue 09:00', 'Tue 09:45')->begins(DayBegins::Pull, $laidOut);

        self::assertSame(['Mon 09:00–09:30 a', 'Mon 10:00–10:30 b', 'Mon 11:00–11:45 Case list'], $day('Mon')->lines());
        self::assertSame(['Mon 09:00–09:30 a', 'Mon 10:00–10:30 b', 'Mon 11:00–11:45 Case list'], $day(null)->lines(), 'a pick that has room on its day goes there, if another must move within it');
        $begun = $day('Mon')->now('Mon 09:05')->build();
        self::assertTrue($begun->hasBegun(LocalDay::of(2026, 3, 2)));
        self::assertNull($begun->dayLaidOut());
        self::assertNotNull($day('Mon')->build()->dayLaidOut());
    }

    #[Test]
    public function deep_work_goes_into_the_best_hours_and_says_so(): void
    {
        $day = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')->best('Mon 13:00', 'Mon 15:00')->task('Essay', minutes: 60, deep: true)->task('Quotes', minutes: 60);

        self::assertSame(['Mon 09:00–10:00 Quotes', 'Mon 13:00–14:00 Essay'], $day->lines());
        self::assertContains(ReasonCode::BestHours, array_column($day->plan()->reasons[1], 'code'));
    }

    #[Test]
    public function a_plan_that_is_mended_uses_the_best_hours_too_unless_that_is_late(): void
    {
        $day = static fn (?string $due): ProblemBuilder => ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')->best('Mon 13:00', 'Mon 15:00')
            ->task('Quotes', minutes: 60)->previous('Quotes', 'Mon 09:00', 'Mon 10:00')->task('Essay', minutes: 60, deep: true, due: $due);

        self::assertSame(['Mon 09:00–10:00 Quotes', 'Mon 13:00–14:00 Essay'], $day(null)->lines());
        self::assertSame(['Mon 09:00–10:00 Quotes', 'Mon 10:00–11:00 Essay'], $day('Mon 12:00')->lines());
    }

    /** Whatever the day, it keeps its minutes, its pieces and its dates, and every rule holds. */
    #[Test]
    public function an_arranged_day_is_the_same_work(): void
    {
        $changed = 0;
        $this->limitTo(Runs::of(200))->forAll(SecondFormat::generator(), Generators::elements('pull', 'hard', 'light'))->disableShrinking()->then(function (array $drawn, string $begins) use (&$changed): void {
            $json = SecondFormat::problem($drawn);
            $plain = self::planned($json);
            $arranged = self::planned(['dayBegins' => $begins] + $json);
            $problem = self::read($json);

            self::assertSame([], (new Checker($json))->faults(json_decode((new PlanWriter($problem->zone))->write($arranged), true)));
            self::assertSame(self::minutes($problem, $plain), self::minutes($problem, $arranged), 'each day has its minutes of each task');
            self::assertLessThanOrEqual(count($plain->blocks), count($arranged->blocks), 'no more pieces');
            foreach (self::spans($problem, $plain) as $day => [$start, $end]) {
                [$first, $last] = self::spans($problem, $arranged)[$day];
                self::assertTrue($first <= $start && $last <= $end, 'no day begins or ends later');
            }
            foreach ($problem->tasks as $task) {
                $due = $task->due->at ?? PHP_INT_MAX;
                $lastDay = max([0, ...array_map(static fn (Block $block): int => $problem->zone->day($problem->zone->dayOf($block->time->start))->start, $plain->blocksOf($task->id))]);
                $due <= $lastDay || self::assertLessThanOrEqual(self::late($plain, $task->id, $due), self::late($arranged, $task->id, $due), "{$task->id} is no later");
            }
            $changed += $plain->blocks === $arranged->blocks ? 0 : 1;
        });

        self::assertGreaterThan(20, $changed, 'the property was looked at');
    }

    private static function day(): ProblemBuilder
    {
        return ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')->open('Tue 09:00', 'Tue 17:00')
            ->task('Dentist', minutes: 15, importance: Importance::Medium, due: 'Tue 17:00')
            ->task('Essay', minutes: 120, importance: Importance::Medium, deep: true)
            ->task('Quotes', minutes: 20, importance: Importance::Vital, due: 'Mon 17:00')
            ->task('Floor plan', minutes: 60, importance: Importance::Low, pick: 'Mon', key: true);
    }

    /** @return list<string> tasks by the start of their first block */
    private static function titles(ProblemBuilder $builder): array
    {
        return array_values(array_unique(array_map(static fn (Block $block): string => $block->task, $builder->plan()->blocks)));
    }

    /** @param  array<string, mixed>  $json */
    private static function read(array $json): PlanningProblem
    {
        return (new ProblemReader)->read(json_encode($json, JSON_THROW_ON_ERROR));
    }

    /** @param  array<string, mixed>  $json */
    private static function planned(array $json): Plan
    {
        return (new Planner(effort: 20))->plan(self::read($json));
    }

    /** @return array<string, int> by day and task */
    private static function minutes(PlanningProblem $problem, Plan $plan): array
    {
        $minutes = [];
        foreach ($plan->blocks as $block) {
            $key = "{$problem->zone->dayOf($block->time->start)->number} {$block->task}";
            $minutes[$key] = ($minutes[$key] ?? 0) + $block->time->length();
        }
        ksort($minutes);

        return $minutes;
    }

    /** @return array<int, array{int, int}> by day: when its first block begins and its last one ends */
    private static function spans(PlanningProblem $problem, Plan $plan): array
    {
        $spans = [];
        foreach ($plan->blocks as $block) {
            $day = $problem->zone->dayOf($block->time->start)->number;
            $spans[$day] = [min($spans[$day][0] ?? PHP_INT_MAX, $block->time->start), max($spans[$day][1] ?? 0, $block->time->end)];
        }

        return $spans;
    }

    private static function late(Plan $plan, string $task, int $due): int
    {
        return max([0, ...array_map(static fn (Block $block): int => $block->time->end - $due, $plan->blocksOf($task))]);
    }
}
