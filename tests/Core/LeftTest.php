<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Task\Left;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

final class LeftTest extends TestCase
{
    #[Test]
    #[DataProvider('books')]
    public function what_was_said_less_what_was_worked(int $said, int $worked, int $left, bool $past, int $toPlan): void
    {
        $one = new Left($said, $worked);

        self::assertSame([$left, $past, $toPlan], [$one->minutes(), $one->isPast(), $one->toPlan()]);
    }

    /** @return array<string, array{int, int, int, bool, int}> */
    public static function books(): array
    {
        return [
            'untouched' => [90, 0, 90, false, 90],
            'begun' => [300, 160, 140, false, 140],
            'no whole steps' => [90, 47, 43, false, 45],
            'a minute left' => [90, 89, 1, false, 5],
            'used up' => [90, 90, 0, true, 5],
            'run over' => [25, 37, 0, true, 5],
        ];
    }
}
