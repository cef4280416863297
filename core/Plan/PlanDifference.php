<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;

/** What moved between a problem's previous plan and a new one, and why. */
final readonly class PlanDifference
{
    /** @var array<string, Task> */
    private array $tasks;

    public function __construct(private PlanningProblem $problem, private Plan $plan)
    {
        $tasks = [];
        foreach ($problem->tasks as $task) {
            $tasks[$task->id] = $task;
        }
        $this->tasks = $tasks;
    }

    /**
     * Blocks of one task are compared in order of time; what stayed is left out, and so is what the person anchored.
     *
     * @return list<Move> by the time they go to; what has no place comes last
     */
    public function moves(): array
    {
        $before = self::byTask($this->problem->previous);
        $after = self::byTask(array_values(array_filter($this->plan->blocks, static fn (Block $block): bool => ! $block->anchored)));
        $moves = [];
        foreach (array_keys($this->tasks) as $id) {
            $old = $before[$id] ?? [];
            $new = $after[$id] ?? [];
            $gone = array_values(array_udiff($old, $new, self::compare(...)));
            $come = array_values(array_udiff($new, $old, self::compare(...)));
            for ($i = 0; $i < max(count($gone), count($come)); $i++) {
                $moves[] = $this->move((string) $id, $gone[$i] ?? null, $come[$i] ?? null);
            }
        }
        usort($moves, static fn (Move $a, Move $b): int => ($a->to->start ?? PHP_INT_MAX) <=> ($b->to->start ?? PHP_INT_MAX));

        return $moves;
    }

    private function move(string $task, ?Interval $from, ?Interval $to): Move
    {
        if ($from === null) {
            return new Move($task, null, $to, MoveCause::NewWork);
        }
        [$cause, $facts] = $this->cause($this->tasks[$task], $from, $to);

        return new Move($task, $from, $to, $cause, $facts);
    }

    /** @return array{MoveCause, array<string, int|string>} */
    private function cause(Task $task, Interval $from, ?Interval $to): array
    {
        if ($from->end <= $this->problem->first) {
            return [MoveCause::Passed, []];
        }
        if ($to === null && $task->waiting) {
            return [MoveCause::Waiting, []];
        }
        $busy = $this->problem->busy->between($from->start, $from->end)->intervals;
        if ($busy !== []) {
            return [MoveCause::BusyTook, ['start' => $busy[0]->start, 'end' => $busy[0]->end]];
        }
        if (! $this->problem->hours[$task->hours]->engulfs($from)) {
            return [MoveCause::HoursClosed, []];
        }
        if ($task->part !== null && ! DayPart::during($this->problem, $task->part)->engulfs($from)) {
            return [MoveCause::OutsidePart, ['part' => $task->part]];
        }
        if ($to !== null && $task->pick !== null && $this->dayOf($to) === $task->pick && $this->dayOf($from) !== $task->pick) {
            return [MoveCause::Picked, []];
        }
        foreach ($this->plan->blocks as $block) {
            if ($block->task !== $task->id && $block->time->overlaps($from)) {
                return [MoveCause::TaskTook, ['task' => $block->task]];
            }
            if (in_array($block->task, $task->after, true) && $block->time->end > $from->start) {
                return [MoveCause::PredecessorMoved, ['task' => $block->task]];
            }
        }

        return [match (true) {
            $to === null => MoveCause::NoPlace,
            $to->start < $from->start => MoveCause::EarlierFree,
            default => MoveCause::Rearranged,
        }, []];
    }

    private function dayOf(Interval $time): int
    {
        return $this->problem->zone->dayOf($time->start)->number;
    }

    /**
     * @param  list<Block>  $blocks
     * @return array<string, list<Interval>>
     */
    private static function byTask(array $blocks): array
    {
        usort($blocks, static fn (Block $a, Block $b): int => $a->time->start <=> $b->time->start);
        $times = [];
        foreach ($blocks as $block) {
            $times[$block->task][] = $block->time;
        }

        return $times;
    }

    private static function compare(Interval $a, Interval $b): int
    {
        return [$a->start, $a->end] <=> [$b->start, $b->end];
    }
}
