<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Day\Balance;
use Nekto\Core\Day\BalanceMove;
use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Task;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Days that each fit: what goes elsewhere, and what never does. */
final class BalanceTest extends TestCase
{
    use TestTrait;

    /** Monday 2 March 2026, in days. */
    private const MONDAY = 20_514;

    #[Test]
    public function the_one_block_that_is_enough_goes_to_the_day_with_room(): void
    {
        $balance = $this->balance(['a' => ['Mon 09:00', 'Mon 11:00'], 'b' => ['Mon 11:00', 'Mon 12:00'], 'c' => ['Mon 12:00', 'Mon 12:30'], 'd' => ['Tue 09:00', 'Tue 10:00']], line: 180);

        self::assertSame(['c to Tue 10:00'], self::said($balance));
        self::assertSame([], $balance->stillOver);
    }

    #[Test]
    public function what_is_of_one_kind_goes_together_though_another_day_is_nearer(): void
    {
        $blocks = ['a' => ['Mon 09:00', 'Mon 12:00'], 'b' => ['Mon 12:00', 'Mon 13:00'], 'c' => ['Tue 09:00', 'Tue 10:00'], 'd' => ['Thu 09:00', 'Thu 10:00']];

        self::assertSame(['b to Tue 10:00'], self::said($this->balance($blocks, line: 180)));
        self::assertSame(['b to Thu 10:00'], self::said($this->balance($blocks, line: 180, kinds: ['b' => 'loans', 'd' => 'loans'])));
    }

    #[Test]
    public function due_dates_and_held_work_stay_and_what_stays_over_is_said(): void
    {
        $blocks = ['a' => ['Mon 09:00', 'Mon 11:00'], 'b' => ['Mon 11:00', 'Mon 13:00']];

        self::assertSame(['b to Tue 09:00'], self::said($this->balance($blocks, line: 180, held: ['a'])));
        self::assertSame(['a to Tue 09:00'], self::said($this->balance($blocks, line: 180, dues: ['b' => 'Mon 13:00'])));
        $none = $this->balance($blocks, line: 180, held: ['a'], dues: ['b' => 'Mon 13:00']);
        self::assertSame([[], [self::MONDAY]], [$none->moves, $none->stillOver]);
    }

    #[Test]
    public function the_deep_limit_is_a_line_of_its_own(): void
    {
        $balance = $this->balance(['a' => ['Mon 09:00', 'Mon 11:00'], 'b' => ['Mon 11:00', 'Mon 12:00'], 'c' => ['Mon 12:00', 'Mon 12:30']], line: 400, deepLimit: 120, deep: ['a', 'b']);

        self::assertSame(['b to Tue 09:00'], self::said($balance));
    }

    /** Whatever the days are: no rule is broken by it, no day gets over by it, and what it says to be enough is. */
    #[Test]
    public function nothing_that_held_is_broken(): void
    {
        $moved = 0;
        $this->limitTo(Runs::of(60))->forAll(Generators::choose(1, 1_000_000), Generators::choose(60, 400), Generators::choose(60, 300))->disableShrinking()->then(function (int $seed, int $line, int $deepLimit) use (&$moved): void {
            $problem = RandomProblem::of($seed);
            $plan = (new Planner(effort: 10))->plan($problem);
            $days = range($problem->zone->dayOf($problem->now)->number, $problem->zone->dayOf($problem->end - 1)->number);
            $lines = array_fill_keys(array_keys($problem->hours), array_fill_keys($days, $line));
            $balance = new Balance($problem, $plan, $lines, array_fill_keys($days, $deepLimit), $days[0], end($days));
            $moved += count($balance->moves);
            $then = self::after($plan, $balance->moves);
            $before = self::use($problem, $plan->blocks);
            $after = self::use($problem, $then);
            foreach ($after as $what => $perDay) {
                $limit = $what === 'deep' ? $deepLimit : $line;
                foreach ($perDay as $day => $minutes) {
                    self::assertLessThanOrEqual(max($limit, $before[$what][$day] ?? 0), $minutes, "seed {$seed}: no day gets over by it");
                    in_array($day, $balance->stillOver, true) || self::assertLessThanOrEqual($limit, $minutes, "seed {$seed}: a day that is not named fits");
                }
            }
            self::assertSame(array_sum(array_map(static fn (Block $block): int => $block->time->length(), $plan->blocks)), array_sum(array_map(static fn (Block $block): int => $block->time->length(), $then)));
            self::assertRulesKept($problem, $plan, $balance->moves, $then, $seed);
        });
        self::assertGreaterThan(20, $moved, 'the property was looked at');
    }

    /**
     * @param  list<BalanceMove>  $moves
     * @param  list<Block>  $then
     */
    private static function assertRulesKept(PlanningProblem $problem, Plan $plan, array $moves, array $then, int $seed): void
    {
        $tasks = array_column(array_map(static fn (Task $task): array => [$task->id, $task], $problem->tasks), 1, 0);
        $ends = static function (array $blocks): array {
            $ends = [];
            foreach ($blocks as $block) {
                $ends[$block->task] = max($ends[$block->task] ?? 0, $block->time->end);
            }

            return $ends;
        };
        [$were, $are] = [$ends($plan->blocks), $ends($then)];
        foreach ($moves as $move) {
            $task = $tasks[$move->block->task];
            self::assertFalse($move->block->anchored);
            self::assertTrue($problem->hours[$task->hours]->without($problem->busy)->engulfs($move->to), "seed {$seed}: in its hours");
            self::assertTrue($task->due === null || $move->to->end <= $task->due->at, "seed {$seed}: its date holds");
            self::assertTrue($task->notBefore === null || $move->to->start >= $task->notBefore);
            foreach ($task->after as $before) {
                self::assertLessThanOrEqual($move->to->start, $are[$before] ?? 0, "seed {$seed}: after what comes before it");
            }
        }
        usort($then, static fn (Block $a, Block $b): int => $a->time->start <=> $b->time->start);
        foreach (array_slice($then, 1) as $i => $block) {
            self::assertGreaterThanOrEqual($then[$i]->time->end, $block->time->start, "seed {$seed}: nothing lies on another");
        }
        self::assertSame(array_keys($were), array_keys($were + $are));
    }

    /**
     * @param  list<Block>  $blocks
     * @return array<string, array<int, int>> minutes of what may move, by set of hours (or "deep") and day
     */
    private static function use(PlanningProblem $problem, array $blocks): array
    {
        $use = [];
        foreach ($blocks as $block) {
            $task = array_values(array_filter($problem->tasks, static fn (Task $one): bool => $one->id === $block->task))[0];
            $day = $problem->zone->dayOf($block->time->start)->number;
            foreach ($block->anchored ? [] : [$task->hours, ...($task->demand === Demand::Deep ? ['deep'] : [])] as $what) {
                $use[$what][$day] = ($use[$what][$day] ?? 0) + $block->time->length();
            }
        }

        return $use;
    }

    /**
     * @param  list<BalanceMove>  $moves
     * @return list<Block>
     */
    private static function after(Plan $plan, array $moves): array
    {
        $blocks = $plan->blocks;
        foreach ($moves as $move) {
            foreach ($blocks as $i => $block) {
                if ($block === $move->block) {
                    $blocks[$i] = new Block($block->task, $move->to);
                }
            }
        }

        return $blocks;
    }

    /**
     * @param  array<string, array{string, string}>  $blocks  one of each task
     * @param  list<string>  $held
     * @param  array<string, string>  $dues
     * @param  list<string>  $deep
     * @param  array<string, string>  $kinds
     */
    private function balance(array $blocks, int $line, int $deepLimit = 600, array $held = [], array $dues = [], array $deep = [], array $kinds = []): Balance
    {
        $builder = ProblemBuilder::problem();
        foreach (['Mon', 'Tue', 'Wed', 'Thu', 'Fri'] as $day) {
            $builder->open("{$day} 09:00", "{$day} 17:00");
        }
        foreach ($blocks as $task => [$from, $to]) {
            $builder->task($task, self::minutes($from, $to), due: $dues[$task] ?? null, deep: in_array($task, $deep, true))->previous($task, $from, $to);
        }
        $problem = $builder->build();
        $days = range(self::MONDAY, self::MONDAY + 4);

        return new Balance($problem, new Plan($problem->previous, []), ['Office' => array_fill_keys($days, $line)], array_fill_keys($days, $deepLimit), $days[0], end($days), array_fill_keys($held, true), $kinds);
    }

    private static function minutes(string $from, string $to): int
    {
        return (int) ((strtotime(substr($to, 4)) - strtotime(substr($from, 4))) / 60);
    }

    /** @return list<string> */
    private static function said(Balance $balance): array
    {
        return array_map(static fn (BalanceMove $move): string => "{$move->block->task} to ".gmdate('D H:i', 60 * $move->to->start), $balance->moves);
    }
}
