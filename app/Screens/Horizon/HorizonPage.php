<?php

declare(strict_types=1);

namespace App\Screens\Horizon;

use App\Screens\Page;
use App\Screens\Shape\CrunchWays;

/** Open time and work due over the coming weeks, as curves and as rows. */
final readonly class HorizonPage extends Page
{
    /**
     * @param  int  $weeks  that are looked at
     * @param  int  $set  of hours; 0: all together
     * @param  array<int, string>  $sets  names by id
     * @param  string  $span  the days, as they are said
     * @param  Curves|null  $was  as it is, where something is tried
     * @param  list<DueRow>  $rows
     * @param  list<Crunch>  $crunches
     * @param  int  $beyond  due dates after the last day
     * @param  CrunchWays|null  $ways  out of the first crunch, where they were asked for
     */
    public function __construct(
        public int $weeks,
        public int $set,
        public array $sets,
        public string $span,
        public Curves $curves,
        public ?Curves $was,
        public array $rows,
        public array $crunches,
        public int $beyond,
        public ?CrunchWays $ways,
        public ?Tried $tried,
    ) {}
}
