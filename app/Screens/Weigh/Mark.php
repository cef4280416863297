<?php

declare(strict_types=1);

namespace App\Screens\Weigh;

use App\Models\Task;
use App\Rows\Candidate;

/** A task in the field; lengths are shares of its width and height. */
final readonly class Mark
{
    /**
     * @param  bool  $named  there is room for its name
     * @param  bool  $left  the name stands to the left
     */
    public function __construct(
        public Candidate $one,
        public Task $task,
        public float $x,
        public float $y,
        public float $width,
        public bool $named,
        public bool $left,
    ) {}
}
