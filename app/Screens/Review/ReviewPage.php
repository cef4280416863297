<?php

declare(strict_types=1);

namespace App\Screens\Review;

use App\Models\Area;
use App\Models\Review;
use App\Models\Task;
use App\Screens\Page;
use Illuminate\Support\Collection;
use Nekto\Core\Time\LocalDay;

/** A week looked back upon, in seven steps. */
final readonly class ReviewPage extends Page
{
    /**
     * @param  Review|null  $review  null: not begun
     * @param  int  $step  1 to 7, the one that is open
     * @param  int  $place  which of the areas
     * @param  list<WeekRow>  $days
     * @param  array{kept: int, all: int}  $keys
     * @param  array{kept: int, all: int, ahead: int}  $steps  of goals in this week
     * @param  list<StepsOfWeek>  $goals
     * @param  list<array{step: int, title: string, goal: string, week: string}>  $asks
     * @param  list<Slip>  $slips
     * @param  Collection<int, Area>  $areas  in their order
     * @param  array{due: list<string>, waiting: list<string>, undated: int}|null  $about  of the area that is open
     * @param  list<array{task: Task, since: string, ask: string, due: bool, letter: array{subject: string, body: string}}>  $waiting
     * @param  list<array{task: Task, seen: string, kept: bool}>  $someday  the longest unseen first
     * @param  Collection<int, Review>  $earlier
     */
    public function __construct(
        public ?Review $review,
        public LocalDay $week,
        public string $span,
        public ?int $number,
        public int $step,
        public int $place,
        public bool $whole,
        public array $days,
        public int $promised,
        public int $actual,
        public array $keys,
        public array $steps,
        public array $goals,
        public array $asks,
        public array $slips,
        public Collection $areas,
        public ?array $about,
        public array $waiting,
        public array $someday,
        public NextWeek $next,
        public Collection $earlier,
    ) {}
}
