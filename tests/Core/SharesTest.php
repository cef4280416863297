<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Task\Shares;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

final class SharesTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function steps_of_which_nothing_was_said_share_the_rest(): void
    {
        $shares = new Shares(90, [[30, true], [null, false], [null, false], [null, true]]);

        self::assertSame([30, 20, 20, 20], $shares->minutes);
        self::assertSame([30, 40], [$shares->said, $shares->left]);
        self::assertSame([34, 33, 33], (new Shares(100, [[null, false], [null, false], [null, false]]))->minutes);
    }

    #[Test]
    public function an_estimate_over_its_steps_keeps_what_is_beside_them_and_one_under_them_gives_way(): void
    {
        self::assertSame(60, (new Shares(100, [[40, true]]))->left);
        self::assertSame(40, (new Shares(60, [[40, true], [40, false]]))->left);
        self::assertSame([0, 0], [(new Shares(null, [[null, false]]))->minutes[0], (new Shares(null, []))->left]);
    }

    #[Test]
    public function shares_add_up(): void
    {
        $this->limitTo(Runs::of(300))->forAll(Generators::choose(0, 600), Generators::vector(6, Generators::elements(null, 5, 20, 45)))->then(static function (int $estimate, array $said): void {
            $shares = new Shares($estimate, array_map(static fn (?int $one): array => [$one, false], $said));
            $silent = in_array(null, $said, true);

            self::assertSame($silent ? max($estimate, $shares->said) : $shares->said, array_sum($shares->minutes));
            self::assertSame(max($estimate, $shares->said), $shares->left);
        });
    }
}
