<?php

declare(strict_types=1);

namespace App\Screens\Project;

use App\Models\Task;
use App\Models\User;
use App\Planning\ProblemLoader;
use App\Rows\PastRatios;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Prospect\Chances;

/** The chance of the weakest of a project's due dates to be met, from what work took before. */
final readonly class ChanceOfProject
{
    public function __construct(private ProblemLoader $problems, private PastRatios $ratios) {}

    /**
     * @param  Collection<int, Task>  $tasks
     * @return int|null %; null without a due date, or with too little history to tell
     */
    public function __invoke(User $user, Collection $tasks, CarbonImmutable $now): ?int
    {
        $dated = $tasks->filter(static fn (Task $task): bool => $task->due_on !== null || $task->due_at !== null);
        $ratios = $dated->isEmpty() ? null : $this->ratios->of($user);
        if ($ratios === null) {
            return null;
        }
        $loaded = $this->problems->load($user, $now);
        $blocks = [...$loaded->problem->anchored, ...$loaded->problem->previous];
        usort($blocks, static fn (Block $a, Block $b): int => $a->time->start <=> $b->time->start);
        $chances = new Chances($loaded->problem, new Plan($blocks), $ratios);
        $own = array_intersect_key($chances->byTask, array_flip(array_map(strval(...), $dated->pluck('id')->all())));

        return $own === [] ? null : (int) round(100 * min($own));
    }
}
