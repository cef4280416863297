<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Task;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\Grid;

/** A task made shorter by some minutes: a step of it stays, and what was worked already cannot be cut. */
final class CutBy
{
    /** @return array{estimate: int} minutes */
    public static function columns(Task $task, int $minutes, CarbonImmutable $now): array
    {
        $by = max(0, min($minutes, $task->minutesToPlan($now) - Grid::STEP));

        return ['estimate' => max(Grid::STEP, (int) $task->estimate - $by)];
    }
}
