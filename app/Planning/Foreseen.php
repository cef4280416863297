<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\PlanRevision;
use Nekto\Core\Day\DayLoad;
use Nekto\Core\Time\LocalDay;

/** What a change of the rules would do. */
final readonly class Foreseen
{
    /**
     * @param  PlanRevision|null  $revision  null: nothing changed
     * @param  LocalDay|null  $day  the first whose open time would be another; null: none within two weeks
     * @param  string  $hours  the name of the set of hours whose it is
     * @param  int  $weekBefore  minutes open in that set in seven days from that day on
     */
    public function __construct(
        public ?PlanRevision $revision,
        public ?LocalDay $day = null,
        public string $hours = '',
        public ?DayLoad $before = null,
        public ?DayLoad $after = null,
        public int $weekBefore = 0,
        public int $weekAfter = 0,
    ) {}
}
