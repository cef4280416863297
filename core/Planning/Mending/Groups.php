<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Mending;

/** Blocks that together could make room for some minutes, where one at a time is not enough. */
final class Groups
{
    /** So many are tried. */
    private const TRIED = 24;

    /** What a block more in a group costs, beside what it costs that it waits. */
    private const PUSH = 20 * 480;

    /** So many of those that can best wait are left out in turn. */
    private const SKIPPED = 8;

    /**
     * @param  array<int, array{int, int, int}>  $blocks  task, start and end, by start
     * @param  array<int, int>  $waits  what it costs that each waits, in twentieths of a weighted minute
     * @param  int  $minutes  that are wanted
     * @return list<list<array{int, int, int}>> the cheapest first
     */
    public static function among(array $blocks, array $waits, int $minutes): array
    {
        ksort($blocks);
        $groups = [...self::inRows($blocks, $waits, $minutes), ...self::bestToWait($blocks, $waits, $minutes)];
        usort($groups, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column(array_slice($groups, 0, self::TRIED), 1);
    }

    /**
     * Blocks that lie one after another.
     *
     * @param  array<int, array{int, int, int}>  $blocks  by start
     * @param  array<int, int>  $waits  what it costs that each waits
     * @return list<array{int, list<array{int, int, int}>}>
     */
    private static function inRows(array $blocks, array $waits, int $minutes): array
    {
        $groups = [];
        $blocks = array_values($blocks);
        foreach (array_keys($blocks) as $i) {
            $sum = $cost = 0;
            $row = [];
            for ($j = $i; isset($blocks[$j]) && $sum < $minutes; $j++) {
                $row[] = $blocks[$j];
                $sum += $blocks[$j][2] - $blocks[$j][1];
                $cost += self::PUSH + $waits[$blocks[$j][1]];
                $groups[] = [$cost + self::missing($minutes, $sum), $row];
            }
        }

        return $groups;
    }

    /**
     * Those that can best wait for each of their minutes, wherever they lie.
     *
     * @param  array<int, array{int, int, int}>  $blocks  by start
     * @param  array<int, int>  $waits
     * @return list<array{int, list<array{int, int, int}>}>
     */
    private static function bestToWait(array $blocks, array $waits, int $minutes): array
    {
        $ranked = array_values($blocks);
        usort($ranked, static fn (array $a, array $b): int => (self::PUSH + $waits[$a[1]]) * ($b[2] - $b[1]) <=> (self::PUSH + $waits[$b[1]]) * ($a[2] - $a[1]));
        $groups = [];
        for ($skipped = 0; $skipped < min(self::SKIPPED, count($ranked)); $skipped++) {
            $sum = $cost = 0;
            $group = [];
            foreach (array_slice($ranked, $skipped) as $block) {
                if ($sum >= $minutes) {
                    break;
                }
                $group[] = $block;
                $sum += $block[2] - $block[1];
                $cost += self::PUSH + $waits[$block[1]];
            }
            $groups[] = [$cost + self::missing($minutes, $sum), $group];
        }

        return $groups;
    }

    private static function missing(int $minutes, int $found): int
    {
        return intdiv(self::PUSH * 8 * max(0, $minutes - $found), max(1, $minutes));
    }
}
