<?php

declare(strict_types=1);

namespace App\Screens\Month;

use App\Screens\Page;
use Nekto\Core\Time\LocalDay;

/** Five weeks as basins. */
final readonly class MonthPage extends Page
{
    /**
     * @param  list<MonthWeek>  $weeks
     * @param  list<bool>  $wide  by weekday of the row: whether any of its days has hours
     * @param  int  $until  the last day that the plan reaches, by its number
     */
    public function __construct(public LocalDay $first, public bool $isNow, public array $weeks, public array $wide, public int $until) {}
}
