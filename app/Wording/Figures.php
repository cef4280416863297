<?php

declare(strict_types=1);

namespace App\Wording;

use Nekto\Core\Pressure\DueDemand;

/** Computed figures in words. */
final class Figures
{
    /** The chance to be in time, where it is known. */
    public static function chance(?int $percent): string
    {
        return match (true) {
            $percent === null => '',
            $percent >= 99 => __('figures.chance.sure'),
            $percent <= 1 => __('figures.chance.hardly'),
            default => __('figures.chance.percent', ['percent' => $percent]),
        };
    }

    /** "45 %"; a pressure that is beyond measure is said, not counted. */
    public static function pressure(?int $percent): string
    {
        return match (true) {
            $percent === null => __('figures.pressure.none'),
            $percent >= DueDemand::NO_TIME => __('figures.pressure.no_time'),
            $percent >= DueDemand::MOST => __('figures.pressure.most', ['percent' => DueDemand::MOST]),
            default => "{$percent} %",
        };
    }
}
