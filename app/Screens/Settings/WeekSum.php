<?php

declare(strict_types=1);

namespace App\Screens\Settings;

use App\Rows\Blocks;
use App\Rows\WorkTime;

/** What a week carries in one set of hours: the sums of its days. */
final readonly class WeekSum
{
    private function __construct(public int $days, public int $hours, public int $breaks, public int $meetings, public int $anchored, public int $open, public int $loadLine) {}

    /** @param  WorkTime  $time  of the week */
    public static function of(WorkTime $time, int $set): self
    {
        $anchored = Blocks::anchored(Blocks::during($time->user, $time->span())->where('anchored', true)->get());
        $sum = array_fill_keys(['days', 'hours', 'breaks', 'meetings', 'anchored', 'open', 'loadLine'], 0);
        for ($i = 0; $i < $time->days; $i++) {
            $load = $time->load($set, $time->first->plusDays($i), $anchored);
            $sum['days'] += $load->hours > 0 ? 1 : 0;
            foreach (['hours', 'breaks', 'meetings', 'anchored', 'open', 'loadLine'] as $part) {
                $sum[$part] += $load->{$part};
            }
        }

        return new self(...$sum);
    }
}
