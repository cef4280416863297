<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Edits\ChangeKind;
use App\Edits\CrunchWay;

/** What of Shape is asked for beside the day itself. */
final readonly class ShapeAsk
{
    /**
     * @param  int|null  $block  that is chosen
     * @param  int|null  $reserve  that is chosen
     * @param  int|null  $routine  that is chosen
     * @param  bool  $lunch  it is chosen
     * @param  bool  $bank  all of it
     * @param  bool  $propose  a day that fits
     * @param  ChangeKind|null  $change  to be looked at before it is taken
     * @param  MorningStep|null  $morning  of the guided run
     * @param  list<int>  $picks  as they are ticked
     * @param  list<int>  $keys  of them
     * @param  bool  $ways  out of a crunch
     * @param  CrunchWay|null  $way  the one to be looked at
     */
    public function __construct(
        public ?int $block = null,
        public ?int $reserve = null,
        public ?int $routine = null,
        public bool $lunch = false,
        public bool $bank = false,
        public bool $propose = false,
        public ?ChangeKind $change = null,
        public ?MorningStep $morning = null,
        public array $picks = [],
        public array $keys = [],
        public bool $ways = false,
        public ?CrunchWay $way = null,
    ) {}
}
