<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Prospect\NewWork;
use Nekto\Core\Prospect\Ratios;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** By which day a piece of work that is asked for would be done. */
final class NewWorkTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function dates_and_chances_are_what_a_person_would_reckon(): void
    {
        // 2 h a day, 1 h of them needed by what has no place yet; ratios 1, 1.5 and 2: half take up to 6 h, eight of ten 7 h 12.
        $new = new NewWork(240, [1 => 120, 2 => 120, 5 => 120, 6 => 120], new Ratios([1.0, 1.5, 2.0]), before: 60);

        self::assertSame([0, 60, 180, 180, 300, 420], array_map($new->fits(...), [0, 1, 2, 4, 5, 9]));
        self::assertSame([360, 432], [$new->careful(0.5), $new->careful(0.8)]);
        self::assertSame([5, 6, null], [$new->doneBy(0.0), $new->doneBy(0.5), $new->doneBy(0.8)]);
        self::assertSame([0.0, 0.25], [$new->chance(2), round($new->chance(5), 2)], '300 of 240 are 1.25: a quarter of the way to 2');
        self::assertSame([1 => 60, 2 => 120, 5 => 60], $new->laid());
        self::assertSame(540, $new->withMore([6 => 120, 7 => 500])->fits(9), 'a day that is none gets none');
        self::assertSame(1.0, $new->cutTo(100)->chance(5));
    }

    /** Later is never less likely, and a date that is said to have a chance has it. */
    #[Test]
    public function chances_rise_with_the_days_and_dates_hold_what_they_say(): void
    {
        $this->limitTo(Runs::of(150))->forAll(Generators::choose(5, 900), Generators::vector(12, Generators::choose(0, 240)), Generators::vector(5, Generators::choose(40, 300)), Generators::choose(0, 200), Generators::choose(0, 100))->then(function (int $minutes, array $free, array $ratios, int $before, int $percent): void {
            $new = new NewWork($minutes, $free, new Ratios(array_map(static fn (int $ratio): float => $ratio / 100, $ratios)), $before);
            $last = 0.0;
            foreach (array_keys($free) as $day) {
                self::assertGreaterThanOrEqual($last, $new->chance($day));
                $last = $new->chance($day);
            }
            $day = $new->doneBy($percent / 100);
            if ($day !== null) {
                self::assertGreaterThanOrEqual($percent / 100 - 0.001, $new->chance($day));
                $day > 0 && self::assertLessThan($new->careful($percent / 100), $new->fits($day - 1), 'no earlier day would do');
            }
            self::assertLessThanOrEqual($minutes, array_sum($new->laid()));
            foreach ($new->laid() as $on => $some) {
                self::assertLessThanOrEqual($free[$on], $some);
            }
        });
    }
}
