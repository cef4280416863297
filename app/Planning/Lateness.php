<?php

declare(strict_types=1);

namespace App\Planning;

use Nekto\Core\Prospect\Outcome;

/** What a change of the plan makes late, by name: what was in time before, or has no place before its due date any more. */
final readonly class Lateness
{
    /** Minutes more that are worth a word where something was late already. */
    private const MORE = 30;

    /**
     * @param  array<int, int>|null  $was  minutes of lateness by task as the plan was before; null: not known
     * @param  LoadedProblem  $before  with the plan as it was
     * @return list<array{task: int, title: string, due: int, at: bool, end: int|null, weight: int, importance: int, hard: bool, was: int}> the heaviest first; due: moment; at: of a certain time, not a day; end: null without a place
     */
    public static function becoming(?array $was, LoadedProblem $before, Outcome $after): array
    {
        $was ??= self::asLaid($before);
        $late = [];
        foreach ($before->problem->tasks as $task) {
            $minutes = $after->late[$task->id] ?? 0;
            $row = $before->tasks[(int) $task->id] ?? null;
            if ($task->due === null || $task->due->at <= $before->problem->now || $row === null || $minutes === 0 || (isset($was[(int) $task->id]) && $minutes < $was[(int) $task->id] + self::MORE)) {
                continue;
            }
            $late[] = ['task' => $row->id, 'title' => $row->title, 'due' => $task->due->at, 'at' => $row->due_at !== null, 'end' => $after->finish[$task->id] ?? null, 'weight' => $task->importance->weight(), 'importance' => $task->importance->value, 'hard' => $row->due_hard, 'was' => $was[$row->id] ?? 0];
        }
        usort($late, static fn (array $a, array $b): int => [! $a['hard'], -$a['weight'], $a['due']] <=> [! $b['hard'], -$b['weight'], $b['due']]);

        return $late;
    }

    /** @return array<int, int> minutes by task, of those that were late where they lay */
    private static function asLaid(LoadedProblem $before): array
    {
        $ends = $late = [];
        foreach ([...$before->problem->anchored, ...$before->problem->previous] as $block) {
            $ends[$block->task] = max($ends[$block->task] ?? 0, $block->time->end);
        }
        foreach ($before->problem->tasks as $task) {
            $end = $ends[$task->id] ?? null;
            if ($task->due !== null && $end !== null && $end > $task->due->at) {
                $late[(int) $task->id] = $end - $task->due->at;
            }
        }

        return $late;
    }
}
