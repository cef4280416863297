<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Whatever the problem, its plan keeps every rule. The rules are written down here a second time, the slow way. */
final class ValidPlanTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function plans_of_random_problems_keep_every_rule(): void
    {
        $this->limitTo(Runs::of(30))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $problem = RandomProblem::of($seed);
            $this->assertKeepsTheRules($problem, (new Planner(effort: 20))->plan($problem)->blocks);
        });
    }

    #[Test]
    public function repaired_plans_keep_every_rule_too(): void
    {
        $this->limitTo(Runs::of(30))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $problem = RandomProblem::of($seed, repair: true);
            $this->assertKeepsTheRules($problem, (new Planner(effort: 20))->plan($problem)->blocks);
        });
    }

    #[Test]
    public function every_minute_is_placed_or_named_as_missing(): void
    {
        $this->limitTo(Runs::of(40))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $problem = RandomProblem::of($seed, repair: $seed % 2 === 0);
            $plan = (new Planner(effort: 0))->plan($problem);
            $missing = array_column(array_map(static fn ($one): array => [$one->task, $one->minutes], $plan->unplaced), 1, 0);
            foreach ($problem->tasks as $task) {
                $placed = array_sum(array_map(static fn (Block $block): int => $block->time->length(), $plan->blocksOf($task->id)));
                self::assertSame(max($placed, $task->minutes), $placed + ($missing[$task->id] ?? 0), $task->id);
            }
        });
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
