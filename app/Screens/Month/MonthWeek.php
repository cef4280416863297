<?php

declare(strict_types=1);

namespace App\Screens\Month;

use Nekto\Core\Time\LocalDay;

/** A row of the month, with its sums in minutes. */
final readonly class MonthWeek
{
    /**
     * @param  string  $title  as "9 to 15 March"
     * @param  list<MonthDay>  $days
     */
    public function __construct(public LocalDay $first, public string $title, public array $days, public int $planned, public int $line, public int $free, public int $over, public int $deep) {}
}
