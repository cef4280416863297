<?php

declare(strict_types=1);

namespace App\Screens\WhatIf;

use App\Screens\Horizon\Curves;
use App\Screens\Page;

/** A new piece of work against the coming weeks; nothing of it is stored. */
final readonly class WhatIfPage extends Page
{
    /**
     * @param  Curves|null  $curves  null where it is not said yet what is wanted
     * @param  list<array{float, float}>  $ramp  the new work as it would be done, over what is due
     * @param  float|null  $honestAt  where the honest date lies
     * @param  list<array{left: float, width: float, planned: int, deep: int, new: int, line: int}>  $bars  day by day, in minutes
     * @param  int  $highest  of the bars
     * @param  list<PromiseRow>  $rows
     * @param  list<array{title: string, what: string, before: string, then: string, coral: bool}>  $does
     * @param  list<SoonerWay>  $ways
     * @param  string  $soonerBy  the day that these are for
     * @param  bool  $assumed  there is too little history for chances of one's own
     * @param  array{subject: string, body: string}|null  $letter
     */
    public function __construct(
        public Wanted $wanted,
        public string $byWords,
        public ?Curves $curves,
        public array $ramp,
        public ?float $honestAt,
        public array $bars,
        public int $highest,
        public array $rows,
        public ?PromiseRow $honest,
        public array $does,
        public array $ways,
        public string $soonerBy,
        public bool $assumed,
        public ?array $letter,
    ) {}
}
