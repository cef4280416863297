<?php

declare(strict_types=1);

namespace App\Screens\WeekPlan;

use App\Screens\Page;
use App\Screens\Week\WeekAxis;
use Nekto\Core\Time\LocalDay;

/** The week in one run: what comes over, what is due, what has the best pull, each with its day. */
final readonly class WeekPlanPage extends Page
{
    /**
     * @param  string  $title  the days
     * @param  array<string, list<PlanRow>>  $groups  by why they are there
     * @param  list<PlanDay>  $days  with open time, from today on
     * @param  list<LaterRow>  $later
     * @param  int  $more  tasks that wait without being named
     * @param  list<string>  $over  days that are over, as they are said
     */
    public function __construct(public string $title, public LocalDay $first, public array $groups, public array $days, public WeekAxis $axis, public array $later, public int $more, public int $placed, public int $line, public array $over) {}
}
