<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Time\GridMoments;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\Grid;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** Steps of five minutes. */
final class GridTest extends FeatureTestCase
{
    #[Test]
    #[DataProvider('minutes')]
    public function a_length_goes_up_or_down_to_whole_steps(int $minutes, int $down, int $up): void
    {
        self::assertSame([$down, $up], [Grid::down($minutes), Grid::up($minutes)]);
    }

    /** @return array<string, array{int, int, int}> */
    public static function minutes(): array
    {
        return ['nothing' => [0, 0, 0], 'a minute' => [1, 0, 5], 'just under' => [14, 10, 15], 'on it' => [15, 15, 15], 'less than nothing' => [-3, -5, 0]];
    }

    #[Test]
    public function a_moment_goes_to_the_step_before_or_after_it_over_midnight_too(): void
    {
        $moment = CarbonImmutable::parse('2026-03-11 23:58', 'UTC');

        self::assertSame('2026-03-11 23:55', GridMoments::last($moment)->format('Y-m-d H:i'));
        self::assertSame('2026-03-12 00:00', GridMoments::next($moment)->format('Y-m-d H:i'));
        self::assertTrue(GridMoments::next(GridMoments::next($moment))->equalTo(GridMoments::next($moment)), 'what lies on it stays');
    }
}
