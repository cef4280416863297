<?php

declare(strict_types=1);

namespace Nekto\Core\Prospect;

use Nekto\Core\Time\Interval;

/** One change that makes more of the work come in time, with what it does. */
final readonly class WayOut
{
    /**
     * @param  string|null  $task  the task it is about; null for extra hours
     * @param  int  $amount  moved due date: the new moment; cut: minutes taken off; dropped: its minutes; extra hours: minutes
     * @param  Interval|null  $time  extra hours: where they lie
     * @param  string|null  $hours  extra hours: the set they are added to
     * @param  Outcome  $then  how the plan ends with it
     */
    public function __construct(
        public WayOutKind $kind,
        public ?string $task,
        public int $amount,
        public Outcome $then,
        public ?Interval $time = null,
        public ?string $hours = null,
    ) {}
}
