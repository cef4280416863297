<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Estimate\Basis;
use Nekto\Core\Estimate\Correction;
use Nekto\Core\Estimate\Pair;
use Nekto\Core\Task\Demand;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Estimates learn, slowly and honestly. */
final class CorrectionTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function without_a_past_an_estimate_is_believed_and_that_is_said(): void
    {
        $correction = Correction::of([], 'Exhibition', Demand::Deep, 60);

        self::assertSame([1.0, 1.0, 0, Basis::TooFew, false], [$correction->median, $correction->careful, $correction->pairs, $correction->basis, $correction->isReliable()]);
    }

    #[Test]
    public function fewer_than_five_pairs_are_never_taken_silently(): void
    {
        self::assertSame(Basis::TooFew, Correction::of(self::pairs(4, 'Exhibition', 2.0), 'Exhibition', Demand::Deep, 60)->basis);
        self::assertSame(Basis::AreaDemandAndSize, Correction::of(self::pairs(5, 'Exhibition', 2.0), 'Exhibition', Demand::Deep, 60)->basis);
    }

    #[Test]
    public function a_few_pairs_say_little_and_many_say_it_all(): void
    {
        $few = Correction::of(self::pairs(5, 'Exhibition', 2.0), 'Exhibition', Demand::Deep, 60);
        $many = Correction::of(self::pairs(200, 'Exhibition', 2.0), 'Exhibition', Demand::Deep, 60);

        self::assertGreaterThan(1.0, $few->median);
        self::assertLessThan($many->median, $few->median);
        self::assertEqualsWithDelta(2.0, $many->median, 0.01);
        self::assertSame(120, $many->likely(60));
    }

    #[Test]
    public function a_kind_of_work_with_few_pairs_leans_on_the_wider_one_it_belongs_to(): void
    {
        $past = [...self::pairs(40, 'Loans', 1.5), ...self::pairs(2, 'Exhibition', 3.0)];
        $other = Correction::of($past, 'Exhibition', Demand::Deep, 60);

        self::assertSame([Basis::AllWork, 42], [$other->basis, $other->pairs]);
        self::assertGreaterThan(1.5, $other->median, 'the two pull it up a little');
        self::assertSame(Basis::AllWork, Correction::of($past, 'Team', Demand::Light, 20)->basis);
    }

    #[Test]
    public function the_careful_value_covers_eight_of_ten(): void
    {
        $past = array_map(static fn (int $i): Pair => new Pair('Team', Demand::Light, 100, 100 + $i), range(1, 100));
        $correction = Correction::of($past, 'Team', Demand::Light, 100);

        self::assertEqualsWithDelta(1.5, $correction->median, 0.03);
        self::assertEqualsWithDelta(1.8, $correction->careful, 0.03);
    }

    #[Test]
    public function a_correction_lies_between_the_belief_and_what_was_seen(): void
    {
        $this->shrinkingTimeLimit(10)->limitTo(Runs::of(100))->forAll(Generators::choose(1, 30), Generators::choose(10, 400))->then(function (int $count, int $percent): void {
            $correction = Correction::of(self::pairs($count, 'Team', $percent / 100), 'Team', Demand::Deep, 60);

            self::assertGreaterThanOrEqual(min(1.0, $percent / 100) - 1e-9, $correction->median);
            self::assertLessThanOrEqual(max(1.0, $percent / 100) + 1e-9, $correction->median);
            self::assertLessThanOrEqual($correction->careful + 1e-9, $correction->median);
        });
    }

    #[Test]
    public function no_work_takes_no_time(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        new Pair('Team', Demand::Light, 30, 0);
    }

    /** @return list<Pair> */
    private static function pairs(int $count, string $area, float $ratio): array
    {
        return array_fill(0, $count, new Pair($area, Demand::Deep, 100, max(1, (int) round(100 * $ratio))));
    }
}
