<?php

declare(strict_types=1);

namespace App\Screens\Review;

use App\Review\SlipRule;

/** Slips of a week that had the same reason. */
final readonly class Slip
{
    /**
     * @param  list<array{title: string, minutes: int, day: string, task: int}>  $tasks
     * @param  int  $minutes  promised and not done
     * @param  bool  $holds  the rule that fits holds already
     */
    public function __construct(public string $reason, public array $tasks, public int $minutes, public SlipRule $rule, public bool $holds) {}
}
