<?php

declare(strict_types=1);

namespace App\Screens\Goals;

use App\Models\Area;
use App\Models\Cycle;
use App\Models\Project;
use App\Screens\Page;
use Illuminate\Support\Collection;

/** What the weeks are for. */
final readonly class GoalsPage extends Page
{
    /**
     * @param  Cycle|null  $cycle  null: none goes on
     * @param  int|null  $week  the present one's number; null before the first and after the last
     * @param  array<int, string>  $weeks  the first day of each, as it is said, by number
     * @param  list<GoalRow>  $goals
     * @param  list<GoalRow>  $shown  those of them that the lens shows
     * @param  array{kept: int, judged: int, done: int, placed: int, open: int}  $steps  kept of those whose week is over; of this week
     * @param  int  $scale  minutes that the width of a vessel stands for
     * @param  list<HabitRow>  $habits
     * @param  list<array{step: int, title: string, goal: string, week: string}>  $asks  unfinished steps of weeks that are over
     * @param  Collection<int, Cycle>  $earlier
     * @param  Collection<int, Area>  $areas
     * @param  Collection<int, Project>  $projects
     * @param  Collection<int, string>  $lists  titles of open tasks with subtasks, by id
     * @param  float  $part  where the present moment lies in its week, from 0 to 1
     */
    public function __construct(
        public ?Cycle $cycle,
        public ?int $week,
        public array $weeks,
        public string $span,
        public string $count,
        public array $goals,
        public array $shown,
        public array $steps,
        public int $scale,
        public array $habits,
        public array $asks,
        public Collection $earlier,
        public Collection $areas,
        public Collection $projects,
        public Collection $lists,
        public float $part,
        public string $nowLabel,
        public string $weekSpan,
    ) {}
}
