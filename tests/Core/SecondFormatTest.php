<?php

declare(strict_types=1);

namespace Tests\Core;

use Bench\Checker;
use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Planning\Format\PlanWriter;
use Nekto\Core\Planning\Format\ProblemReader;
use Nekto\Core\Planning\Planner;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/**
 * Whatever the problem, its plan keeps every rule, judged by a checker that shares no code with the planner. A case that
 * fails is not made smaller: with so many parts that takes hours.
 */
final class SecondFormatTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function plans_keep_every_rule(): void
    {
        $this->limitTo(Runs::of(300))->forAll(SecondFormat::generator())->disableShrinking()->then(function (array $drawn): void {
            $problem = SecondFormat::problem($drawn);

            self::assertSame([], (new Checker($problem))->faults(self::plan($problem)));
        });
    }

    /** What had no place may still find one, and others may give way to it: then only the rules must hold. */
    #[Test]
    public function a_plan_fed_back_moves_nothing(): void
    {
        $compared = 0;
        $this->limitTo(Runs::of(160))->forAll(SecondFormat::generator())->disableShrinking()->then(function (array $drawn) use (&$compared): void {
            $drawn[0] = array_slice($drawn[0], 0, 7);
            $problem = SecondFormat::problem($drawn);
            $plan = self::plan($problem);
            $again = self::plan(['previous' => array_map(self::bare(...), $plan['blocks'])] + $problem);
            if (array_diff(array_column($plan['unplaced'], 'reason'), ['waiting', 'no_day_left']) === []) {
                $compared++;
                self::assertSame(array_map(self::bare(...), $plan['blocks']), array_map(self::bare(...), $again['blocks']));
            } else {
                self::assertSame([], (new Checker($problem))->faults($again));
            }
        });

        self::assertGreaterThan(15, $compared, 'the property was looked at');
    }

    #[Test]
    public function a_plan_that_life_interferes_with_keeps_every_rule_and_what_is_frozen(): void
    {
        $this->limitTo(Runs::of(120))->forAll(SecondFormat::generator(), Generators::choose(0, 30), Generators::choose(1, 20), Generators::choose(0, 120))
            ->disableShrinking()->then(function (array $drawn, int $later, int $hours, int $freeze): void {
                $problem = SecondFormat::problem($drawn);
                $plan = self::plan($problem);
                $start = (new \DateTimeImmutable($problem['now']))->modify("+{$hours} hours");
                $again = [
                    'now' => (new \DateTimeImmutable($problem['now']))->modify('+'.(11 * $later).' minutes')->format(DATE_RFC3339),
                    'busy' => [...$problem['busy'], ['start' => $start->format(DATE_RFC3339), 'end' => $start->modify('+75 minutes')->format(DATE_RFC3339)]],
                    'previous' => array_map(self::bare(...), $plan['blocks']),
                    'freeze' => $freeze,
                ] + $problem;

                self::assertSame([], (new Checker($again))->faults(self::plan($again)));
            });
    }

    /**
     * @param  array<string, mixed>  $problem
     * @return array<string, mixed>
     */
    private static function plan(array $problem): array
    {
        $read = (new ProblemReader)->read(json_encode($problem, JSON_THROW_ON_ERROR));

        return json_decode((new PlanWriter($read->zone))->write((new Planner(effort: 20))->plan($read)), true, 64, JSON_THROW_ON_ERROR);
    }

    /**
     * @param  array<string, mixed>  $block
     * @return array<string, string>
     */
    private static function bare(array $block): array
    {
        return ['task' => $block['task'], 'start' => $block['start'], 'end' => $block['end']];
    }
}
