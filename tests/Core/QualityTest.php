<?php

declare(strict_types=1);

namespace Tests\Core;

use Bench\Checker;
use Nekto\Core\Plan\Tempo;
use Nekto\Core\Planning\Format\PlanWriter;
use Nekto\Core\Planning\Format\ProblemReader;
use Nekto\Core\Planning\Planner;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** How good plans are, seen in every run of the tests: a search that is broken still gives valid plans, only worse ones. */
final class QualityTest extends TestCase
{
    private const EFFORT = 1300;

    /** Where a figure becomes better by more than this, record it anew (bench/quality says all of them). */
    private const WITHIN = 0.02;

    #[Test]
    #[DataProvider('recorded')]
    public function plans_are_as_good_and_as_calm_as_they_were(string $instance, int $objective, int $moved): void
    {
        $text = (string) file_get_contents(dirname(__DIR__, 2)."/bench/instances/{$instance}.json");
        $problem = (new ProblemReader)->read($text);
        $plan = json_decode((new PlanWriter($problem->zone))->write((new Planner(effort: self::EFFORT))->plan($problem->with(tempo: Tempo::Eager))), true);
        $checker = new Checker(json_decode($text, true));

        self::assertSame([], $checker->faults($plan));
        self::assertEqualsWithDelta($objective, $checker->objective(), self::WITHIN * $objective, 'objective');
        self::assertEqualsWithDelta($moved, $checker->moved(), self::WITHIN * $moved, 'moved minutes');
    }

    /** @return array<string, array{string, int, int}> what the plan costs, and the minutes that lie elsewhere than before */
    public static function recorded(): array
    {
        return [
            'repair 1' => ['repair-01', 86_604, 2965],
            'repair 2' => ['repair-02', 150_562, 3730],
            'repair 3' => ['repair-03', 158_590, 5035],
            'repair 4' => ['repair-04', 117_693, 3330],
            'repair 5' => ['repair-05', 198_584, 3520],
            'repair 6' => ['repair-06', 179_183, 4180],
            'a day of proven optimum' => ['fluid-03', 10_626, 0],
            'another one' => ['fluid-11', 43_149, 0],
            'two weeks' => ['large-060-a', 49_063, 0],
            'three weeks' => ['large-120-a', 180_478, 0],
        ];
    }
}
