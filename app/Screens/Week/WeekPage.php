<?php

declare(strict_types=1);

namespace App\Screens\Week;

use App\Screens\Page;
use Nekto\Core\Time\LocalDay;

/** Seven days as tapes, one below the other. */
final readonly class WeekPage extends Page
{
    /**
     * @param  string  $title  as "9 to 15 March"
     * @param  list<WeekDay>  $days
     * @param  list<array{float, string}>  $hours  left, in thousandths, and what is written there
     * @param  int  $planned  minutes laid out under load lines, all days
     * @param  int  $line  minutes that the days' load lines allow
     * @param  int  $worked  minutes worked
     * @param  int  $top  minutes of the fullest or most open day
     * @param  bool  $asList  without times
     * @param  bool  $isOver  a day to come is over its line or its deep limit
     */
    public function __construct(
        public string $title,
        public LocalDay $first,
        public bool $isNow,
        public array $days,
        public WeekAxis $axis,
        public array $hours,
        public int $planned,
        public int $line,
        public int $deep,
        public int $worked,
        public int $top,
        public ?NoPlace $noPlace,
        public bool $asList,
        public bool $isOver,
        public ?BalancePanel $balance,
    ) {}
}
