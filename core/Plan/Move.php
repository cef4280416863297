<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

use Nekto\Core\Time\Interval;

/** One difference between two plans. */
final readonly class Move
{
    /**
     * @param  Interval|null  $from  null: it had no place
     * @param  Interval|null  $to  null: it has no place
     * @param  array<string, int|string>  $facts  what the cause says it has
     */
    public function __construct(
        public string $task,
        public ?Interval $from,
        public ?Interval $to,
        public MoveCause $cause,
        public array $facts = [],
    ) {}
}
