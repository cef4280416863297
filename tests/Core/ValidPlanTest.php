<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Planning\Block;
use Nekto\Core\Planning\DayLimit;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Planning\PlanningProblem;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\DueDate;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\Zone;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Whatever the problem, its plan keeps every rule. The rules are written down here a second time, the slow way. */
final class ValidPlanTest extends TestCase
{
    use TestTrait;

    private const DAY = 29_500_000 - 29_500_000 % 1440;

    #[Test]
    public function plans_of_random_problems_keep_every_rule(): void
    {
        $this->limitTo(60)->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $problem = self::problem($seed, false);
            $this->assertKeepsTheRules($problem, (new Planner(effort: 20))->plan($problem)->blocks);
        });
    }

    #[Test]
    public function repaired_plans_keep_every_rule_too(): void
    {
        $this->limitTo(60)->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $problem = self::problem($seed, true);
            $this->assertKeepsTheRules($problem, (new Planner(effort: 20))->plan($problem)->blocks);
        });
    }

    #[Test]
    public function every_minute_is_placed_or_named_as_missing(): void
    {
        $this->limitTo(40)->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $problem = self::problem($seed, $seed % 2 === 0);
            $plan = (new Planner(effort: 0))->plan($problem);
            $missing = array_column(array_map(static fn ($one): array => [$one->task, $one->minutes], $plan->unplaced), 1, 0);
            foreach ($problem->tasks as $task) {
                $placed = array_sum(array_map(static fn (Block $block): int => $block->time->length(), $plan->blocksOf($task->id)));
                self::assertSame(max($placed, $task->minutes), $placed + ($missing[$task->id] ?? 0), $task->id);
            }
        });
    }

    private static function problem(int $seed, bool $repair): PlanningProblem
    {
        mt_srand($seed);
        $tasks = $previous = [];
        for ($i = 0; $i < 8; $i++) {
            $least = 5 * mt_rand(1, 6);
            $tasks[] = new Task(
                id: "t{$i}",
                minutes: 5 * mt_rand(1, 40),
                importance: Importance::from(mt_rand(1, 4)),
                hours: mt_rand(0, 4) === 0 ? 'late' : 'day',
                due: mt_rand(0, 2) === 0 ? null : new DueDate(self::DAY + 540 + 37 * mt_rand(0, 60), mt_rand(0, 3) === 0),
                notBefore: mt_rand(0, 3) === 0 ? self::DAY + mt_rand(540, 2000) : null,
                minChunk: $least,
                maxChunk: $least + 5 * mt_rand(0, 18) + 3,
                after: $i > 1 && mt_rand(0, 3) === 0 ? ['t'.mt_rand(0, $i - 1)] : [],
                demand: mt_rand(0, 1) === 0 ? Demand::Deep : Demand::Light,
            );
        }
        for ($i = 0; $repair && $i < 10; $i++) {
            $start = self::DAY + 540 + 5 * mt_rand(0, 90) + 1440 * mt_rand(0, 2);
            $previous[] = new Block('t'.mt_rand(0, 7), new Interval($start, $start + 5 * mt_rand(1, 18)));
        }
        $days = range(0, 3);
        $anchor = self::DAY + 601 + mt_rand(0, 200);

        return new PlanningProblem(
            zone: new Zone('UTC'),
            now: self::DAY + 547,
            end: self::DAY + 4 * 1440,
            step: 5,
            hours: [
                'day' => IntervalSet::covering(...array_map(static fn (int $day): Interval => new Interval(self::DAY + 1440 * $day + 540, self::DAY + 1440 * $day + 1000), $days)),
                'late' => IntervalSet::covering(...array_map(static fn (int $day): Interval => new Interval(self::DAY + 1440 * $day + 900, self::DAY + 1440 * $day + 1440), $days)),
            ],
            busy: IntervalSet::covering(...array_map(static function (int $day): Interval {
                $start = self::DAY + 1440 * $day + mt_rand(500, 900);

                return new Interval($start, $start + mt_rand(5, 120));
            }, $days)),
            tasks: $tasks,
            anchored: [new Block('t0', new Interval($anchor, $anchor + 33), true)],
            previous: $previous,
            dayLimit: new DayLimit(mt_rand(0, 1) === 0 ? null : 300),
            deepLimit: new DayLimit(120),
            hoursLimits: ['day' => new DayLimit(null, [intdiv(self::DAY, 1440) => 95])],
        );
    }

    /** @param  list<Block>  $blocks */
    private function assertKeepsTheRules(PlanningProblem $problem, array $blocks): void
    {
        $tasks = array_column(array_map(static fn (Task $task): array => [$task->id, $task], $problem->tasks), 1, 0);
        $placed = $finish = $perDay = $deep = $office = [];
        foreach ($blocks as $block) {
            $placed[$block->task] = ($placed[$block->task] ?? 0) + $block->time->length();
            $finish[$block->task] = max($finish[$block->task] ?? 0, $block->time->end);
        }
        foreach ($blocks as $i => $block) {
            $task = $tasks[$block->task];
            $i > 0 && self::assertGreaterThanOrEqual($blocks[$i - 1]->time->end, $block->time->start, 'no two overlap');
            if ($block->anchored) {
                continue;
            }
            self::assertSame([0, 0], [$block->time->start % 5, $block->time->end % 5], 'on the grid');
            self::assertGreaterThanOrEqual($problem->first, $block->time->start, 'not in the past');
            self::assertTrue($problem->hours[$task->hours]->engulfs($block->time), 'inside its hours');
            self::assertFalse($problem->busy->overlaps($block->time), 'outside busy time');
            self::assertGreaterThanOrEqual($task->notBefore ?? 0, $block->time->start, 'not before its earliest start');
            $own = $task->minutes - ($block->task === 't0' ? 33 : 0);
            self::assertGreaterThanOrEqual(min($task->minChunk, $own), $block->time->length(), 'not shorter than its least block');
            self::assertLessThanOrEqual($task->maxChunk, $this->runAround($block, $blocks), 'with what touches it not longer than its longest');
            foreach ($task->after as $name) {
                self::assertGreaterThanOrEqual($tasks[$name]->minutes, $placed[$name] ?? 0, 'what it comes after is placed');
                self::assertGreaterThanOrEqual($finish[$name], $block->time->start, 'after what it comes after');
            }
            $day = intdiv($block->time->start, 1440);
            $perDay[$day] = ($perDay[$day] ?? 0) + $block->time->length();
            $deep[$day] = ($deep[$day] ?? 0) + ($task->demand === Demand::Deep ? $block->time->length() : 0);
            $office[$day] = ($office[$day] ?? 0) + ($task->hours === 'day' ? $block->time->length() : 0);
        }
        foreach ($perDay as $day => $minutes) {
            self::assertLessThanOrEqual($problem->dayLimit->on($day), $minutes, 'under the limit of the day');
            self::assertLessThanOrEqual(120, $deep[$day], 'under the deep limit');
            self::assertLessThanOrEqual($problem->hoursLimits['day']->on($day), $office[$day], 'under the load line of its hours');
        }
        foreach ($placed as $id => $minutes) {
            self::assertLessThanOrEqual(max($tasks[$id]->minutes, $id === 't0' ? 33 : 0), $minutes, 'no more than it needs');
        }
    }

    /** @param  list<Block>  $blocks */
    private function runAround(Block $block, array $blocks): int
    {
        $run = $block->time;
        do {
            $before = $run;
            foreach ($blocks as $other) {
                if ($other->task === $block->task && $other->time->start <= $run->end && $run->start <= $other->time->end) {
                    $run = new Interval(min($run->start, $other->time->start), max($run->end, $other->time->end));
                }
            }
        } while (! $run->equals($before));

        return $run->length();
    }
}
