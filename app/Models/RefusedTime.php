<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;

/** A task with a set time that could not be anchored there: what has that time, and when the next free one is. */
final readonly class RefusedTime
{
    /**
     * @param  CarbonImmutable  $at  UTC, the time that was set
     * @param  Block|Occurrence  $by  a block with its task
     * @param  CarbonImmutable|null  $free  UTC, the next start with room for it that day; null if there is none
     */
    public function __construct(public Task $task, public CarbonImmutable $at, public Block|Occurrence $by, public ?CarbonImmutable $free) {}

    /** What has the time. */
    public function byTitle(): string
    {
        return $this->by instanceof Block ? $this->by->task->title : $this->by->summary;
    }
}
