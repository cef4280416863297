<?php

declare(strict_types=1);

namespace Nekto\Core\Prospect;

/** How far a planned block can slip. */
final readonly class Slack
{
    /**
     * @param  int  $start  as planned
     * @param  int  $latestStart  if all due dates are to hold
     * @param  int  $minutes  open ones between the two; for a late task the minutes of its lateness, negative
     * @param  int  $late  minutes after its due date; 0 if it is in time
     * @param  bool  $dated  a due date holds it, its own or that of what waits for it; false: only the horizon
     */
    public function __construct(public int $start, public int $latestStart, public int $minutes, public int $late, public bool $dated) {}
}
