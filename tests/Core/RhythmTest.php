<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Time\Interval;
use Nekto\Core\Work\Rhythm;
use Nekto\Core\Work\Spell;
use Nekto\Core\Work\Turn;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Minutes from 0 on; a rhythm of 50 and 10, with 30 after the third stretch. */
final class RhythmTest extends TestCase
{
    #[Test]
    #[DataProvider('days')]
    public function a_break_is_due_after_the_work_since_the_last_rest(string $day, int $now, bool $isOn, string $expected): void
    {
        self::assertSame($expected, self::said((new Rhythm(50, 10, 30, 3))->at(self::stretches($day), $now, $isOn)));
    }

    /** @return array<string, array{string, int, bool, string}> "w0-20" is work, "b20-30" a break */
    public static function days(): array
    {
        return [
            'nothing yet' => ['', 0, false, '1 of 3, worked 0, break of 10'],
            'just begun' => ['w0-20', 20, true, '1 of 3, worked 20, break of 10 at 50'],
            'a pause shorter than a break does not rest' => ['w0-20 w25-45', 45, true, '1 of 3, worked 40, break of 10 at 55'],
            'a pause as long as a break rests' => ['w0-20 w30-40', 40, true, '2 of 3, worked 10, break of 10 at 80'],
            'a break that is on' => ['w0-50 b50-54', 54, true, '1 of 3, worked 50, break of 10 until 60'],
            'a break cut short does not rest' => ['w0-50 b50-55 w55-60', 60, true, '1 of 3, worked 55, break of 10 at 55'],
            'two breaks in a row are one' => ['w0-50 b50-55 b55-60 w60-65', 65, true, '2 of 3, worked 5, break of 10 at 110'],
            'the third is followed by the long one' => ['w0-50 w60-110 w120-130', 130, true, '3 of 3, worked 10, long break of 30 at 170'],
            'the long one that is on' => ['w0-50 w60-110 w120-170 b170-175', 175, true, '3 of 3, worked 50, long break of 30 until 200'],
            'after it all begins anew' => ['w0-50 w60-110 w120-170 b170-200 w200-210', 210, true, '1 of 3, worked 10, break of 10 at 250'],
            'a long rest by itself counts as the long one' => ['w0-50 w100-110', 110, true, '1 of 3, worked 10, break of 10 at 150'],
            'not working now' => ['w0-50', 70, false, '2 of 3, worked 0, break of 10'],
            'overdue' => ['w0-80', 80, true, '1 of 3, worked 80, break of 10 at 50'],
        ];
    }

    private static function said(Turn $turn): string
    {
        return "{$turn->number} of {$turn->of}, worked {$turn->worked}, ".($turn->isLong ? 'long ' : '')."break of {$turn->breakMinutes}"
            .($turn->breakAt === null ? '' : " at {$turn->breakAt}").($turn->backAt === null ? '' : " until {$turn->backAt}");
    }

    /** @return list<Spell> */
    private static function stretches(string $day): array
    {
        preg_match_all('/([wb])(\d+)-(\d+)/', $day, $found, PREG_SET_ORDER);

        return array_map(static fn (array $one): Spell => new Spell(new Interval((int) $one[2], (int) $one[3]), $one[1] === 'b'), $found);
    }
}
