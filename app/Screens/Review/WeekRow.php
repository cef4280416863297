<?php

declare(strict_types=1);

namespace App\Screens\Review;

use App\Screens\Week\WeekDay;

/** A day of the week as it was. */
final readonly class WeekRow
{
    /**
     * @param  list<array{title: string, kept: bool, open: bool}>  $keys  key tasks; open: the day is not over
     * @param  bool  $isAhead  it has not begun
     */
    public function __construct(public WeekDay $day, public int $promised, public int $actual, public array $keys, public bool $closed, public bool $isAhead) {}
}
