<?php

declare(strict_types=1);

namespace App\Screens\Review;

use App\Models\Goal;
use App\Screens\Goals\StepRow;

/** A goal with its steps of the week that is looked back at. */
final readonly class StepsOfWeek
{
    /** @param  list<StepRow>  $steps */
    public function __construct(public Goal $goal, public array $steps) {}
}
