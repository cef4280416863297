<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Edits\ChangeKind;

/** What of Shape is asked for beside the day itself. */
final readonly class ShapeAsk
{
    /**
     * @param  int|null  $block  that is chosen
     * @param  int|null  $reserve  that is chosen
     * @param  bool  $bank  all of it
     * @param  bool  $propose  a day that fits
     * @param  ChangeKind|null  $change  to be looked at before it is taken
     * @param  MorningStep|null  $morning  of the guided run
     * @param  list<int>  $picks  as they are ticked
     * @param  list<int>  $keys  of them
     */
    public function __construct(
        public ?int $block = null,
        public ?int $reserve = null,
        public bool $bank = false,
        public bool $propose = false,
        public ?ChangeKind $change = null,
        public ?MorningStep $morning = null,
        public array $picks = [],
        public array $keys = [],
    ) {}
}
