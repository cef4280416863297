<?php

declare(strict_types=1);

namespace App\Screens\WeekPlan;

use App\Edits\PlanWeek;
use App\Models\PlanRevision;
use App\Models\User;
use App\Rows\GoalSteps;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** Gives each step of a week that has no block by its end the day that the week's run would give it. */
final readonly class PlaceSteps
{
    public function __construct(private WeekPlanScreen $run, private PlanWeek $take) {}

    /** @return array{PlanRevision|null, int, int} steps that have a day now, and those that found none */
    public function __invoke(User $user, LocalDay $first, CarbonImmutable $now): array
    {
        $steps = array_fill_keys($user->tasks()->plannable()->whereRaw(GoalSteps::isStep($first->plusDays(6)))->whereDoesntHave('blocks', static fn ($blocks) => $blocks->ahead($now)->where('starts_at', '<', Moments::moment(Zones::named($user->zone)->at($first->plusDays(7), 0))))->pluck('id')->all(), true);
        if ($steps === []) {
            return [null, 0, 0];
        }
        $days = [];
        foreach (array_merge(...array_values($this->run->of($user, $first, $now, [])->groups) ?: [[]]) as $row) {
            if (isset($steps[$row->task]) && $row->parts !== []) {
                $days[$row->task] = (int) array_key_first($row->parts);
            }
        }

        return [$days === [] ? null : ($this->take)($user, $days, $first, $now), count($days), count($steps) - count($days)];
    }
}
