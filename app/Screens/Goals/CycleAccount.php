<?php

declare(strict_types=1);

namespace App\Screens\Goals;

use App\Models\Cycle;
use App\Models\User;
use App\Rows\GoalSteps;
use App\Wording\Dates;
use Carbon\CarbonImmutable;

/** What a cycle brought: kept with it when it is closed. */
final readonly class CycleAccount
{
    public function __construct(private GoalsScreen $goals) {}

    /** @return array{span: string, kept: int, judged: int, goals: list<array{id: int, name: string, hue: string, unit: string, target: float, value: float, weekly: bool, reached: bool, weeks: int, weeksReached: int, kept: int, judged: int, open: list<string>}>} */
    public function of(User $user, Cycle $cycle, CarbonImmutable $now): array
    {
        $goals = [];
        $rows = $this->goals->goals($user, $cycle, $now);
        $open = GoalSteps::undecided(array_map(static fn (GoalRow $row): int => $row->goal->id, $rows));
        foreach ($rows as $row) {
            $weeksReached = count(array_filter($row->ends, static fn (float $value): bool => $value >= $row->goal->target));
            $goals[] = [
                'id' => $row->goal->id, 'name' => $row->goal->name, 'hue' => $row->goal->area->hue, 'unit' => $row->goal->unit, 'target' => $row->goal->target, 'value' => $row->value, 'weekly' => $row->goal->weekly,
                'reached' => $row->goal->weekly ? $row->ends !== [] && $weeksReached === count($row->ends) : $row->value >= $row->goal->target, 'weeks' => count($row->ends), 'weeksReached' => $weeksReached,
                'kept' => $row->kept, 'judged' => $row->judged,
                'open' => array_values(array_unique(array_column(array_filter($open, static fn (\stdClass $one): bool => (int) $one->goal_id === $row->goal->id), 'title'))),
            ];
        }

        return ['span' => Dates::of($user)->span($cycle->span()->first, $cycle->span()->last()), 'kept' => array_sum(array_column($goals, 'kept')), 'judged' => array_sum(array_column($goals, 'judged')), 'goals' => $goals];
    }
}
