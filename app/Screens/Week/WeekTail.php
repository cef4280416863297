<?php

declare(strict_types=1);

namespace App\Screens\Week;

/** How far a block can still slip, as far as that is drawn in one day's row; in thousandths of the tape's width. */
final readonly class WeekTail
{
    /**
     * @param  int  $track  below the line, from 0
     * @param  bool  $begins  at the block's end; false: it comes in from the day before
     * @param  string  $end  "closed" at the latest end, "runs" on into the next day, "leaves" the week, "none" where there is no slack
     */
    public function __construct(public int $task, public int $track, public float $left, public float $width, public bool $begins, public string $end, public string $label) {}
}
