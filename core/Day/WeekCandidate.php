<?php

declare(strict_types=1);

namespace Nekto\Core\Day;

/** A task that could be done in a week. Days are numbers of local days. */
final readonly class WeekCandidate
{
    /**
     * @param  int  $minutes  left to do, at least 1
     * @param  string  $hours  the set it is done in
     * @param  int|null  $due  the day by the end of which it must be done
     * @param  int|null  $from  the first day it may be on
     * @param  int|null  $planned  the day it lies on as it is, or is picked for
     * @param  bool  $picked  the person picked it for that day
     */
    public function __construct(public string $id, public int $minutes, public bool $deep, public int $pull, public string $hours, public ?int $due = null, public ?int $from = null, public ?int $planned = null, public bool $picked = false) {}
}
