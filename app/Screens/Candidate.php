<?php

declare(strict_types=1);

namespace App\Screens;

use App\Models\Task;
use Nekto\Core\Pressure\DueDemand;
use Nekto\Core\Pressure\Pull;

/** An open task with what was computed about it. */
final readonly class Candidate
{
    /** @param  int|null  $due  minutes since 1970-01-01T00:00Z */
    public function __construct(
        public Task $task,
        public ?int $due,
        public ?DueDemand $demand,
        public Pull $pull,
    ) {}

    /** %, null without a due date. */
    public function pressure(): ?int
    {
        return $this->demand?->pressure();
    }
}
