<?php

declare(strict_types=1);

namespace Nekto\Core\Goals;

use Nekto\Core\Prospect\Ratios;

/**
 * The chance that all work due by a goal's date, its own and others', fits the open time until then, if work takes as long as
 * it did in the past: many runs, in each of which every task takes its minutes times a ratio drawn by chance. The same
 * seed gives the same chance.
 */
final readonly class GoalChance
{
    private const RUNS = 400;

    /**
     * @param  list<array{int, Ratios}>  $work  minutes left of each task due by then, and what such work took
     * @param  int  $supply  minutes that are open until then
     * @return float from 0 to 1
     */
    public static function of(array $work, int $supply, int $seed = 1): float
    {
        $minutes = array_sum(array_column($work, 0));
        if ($minutes === 0) {
            return 1.0;
        }
        $state = $seed & 0x7FFF_FFFF;
        $fits = 0;
        for ($run = 0; $run < self::RUNS; $run++) {
            $sum = 0.0;
            foreach ($work as [$left, $ratios]) {
                $state = ($state * 1_103_515_245 + 12_345) & 0x7FFF_FFFF; // a generator of its own, so that the core knows no chance
                $sum += $left * $ratios->at((($state >> 8) % 1_000) / 999);
            }
            $sum <= $supply && $fits++;
        }

        return $fits / self::RUNS;
    }

    /** Of a weekly measure: of its past weeks those that reached it; null before there is one. */
    public static function ofWeeks(int $reached, int $weeks): ?float
    {
        return $weeks === 0 ? null : $reached / $weeks;
    }
}
