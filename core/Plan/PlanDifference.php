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

    /** @var array<string, list<Interval>> places that a task had and has no more, by start */
    private array $gone;

    /** @var array<string, list<Interval>> places that are new to it */
    private array $come;

    /** @var array<string, true> tasks without a place for all of their minutes */
    private array $missing;

    public function __construct(private PlanningProblem $problem, private Plan $plan)
    {
        $tasks = [];
        foreach ($problem->tasks as $task) {
            $tasks[$task->id] = $task;
        }
        $this->tasks = $tasks;
        $before = self::byTask($problem->previous);
        $after = self::byTask(array_values(array_filter($plan->blocks, static fn (Block $block): bool => ! $block->anchored)));
        $gone = $come = [];
        foreach (array_keys($tasks) as $id) {
            $gone[$id] = array_values(array_udiff($before[$id] ?? [], $after[$id] ?? [], self::compare(...)));
            $come[$id] = array_values(array_udiff($after[$id] ?? [], $before[$id] ?? [], self::compare(...)));
        }
        [$this->gone, $this->come] = [$gone, $come];
        $this->missing = array_fill_keys(array_map(static fn (Unplaced $one): string => $one->task, $plan->unplaced), true);
    }

    /**
     * Blocks of one task are compared in order of time; what stayed is left out, and so is what the person anchored.
     *
     * @return list<Move> by the time they go to; what has no place comes last
     */
    public function moves(): array
    {
        $moves = [];
        foreach (array_keys($this->tasks) as $id) {
            for ($i = 0; $i < max(count($this->gone[$id]), count($this->come[$id])); $i++) {
                $moves[] = $this->move((string) $id, $this->gone[$id][$i] ?? null, $this->come[$id][$i] ?? null);
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

    /**
     * Where other work took its place only because that had lost its own, the cause is what took that: `for` names the
     * task which that happened to. Work that took each other's place in a circle has no other cause than the whole.
     *
     * @param  array<string, true>  $asked  tasks whose cause is being looked for
     * @return array{MoveCause, array<string, int|string>}
     */
    private function cause(Task $task, Interval $from, ?Interval $to, array $asked = []): array
    {
        if ($from->end <= $this->problem->first) {
            return [MoveCause::Passed, []];
        }
        if ($to === null && $task->waiting) {
            return [MoveCause::Waiting, []];
        }
        if ($to === null && ! isset($this->missing[$task->id])) {
            return [MoveCause::LessWork, []];
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
                return $this->behind($block, MoveCause::TaskTook, [...$asked, $task->id => true]);
            }
            if (in_array($block->task, $task->after, true) && $block->time->end > $from->start) {
                return $this->behind($block, MoveCause::PredecessorMoved, [...$asked, $task->id => true]);
            }
        }

        return [match (true) {
            $to === null => MoveCause::NoPlace,
            $to->start < $from->start => MoveCause::EarlierFree,
            default => MoveCause::Rearranged,
        }, []];
    }

    /**
     * What is behind another task's block being there.
     *
     * @param  array<string, true>  $asked
     * @return array{MoveCause, array<string, int|string>}
     */
    private function behind(Block $block, MoveCause $near, array $asked): array
    {
        $other = $this->tasks[$block->task] ?? null;
        $lost = $this->gone[$block->task][0] ?? null;
        if ($block->anchored || $other === null || $lost === null) {
            return [$near, ['task' => $block->task]]; // by hand, begun, or new: that is the cause
        }
        if (isset($asked[$block->task])) {
            return [MoveCause::Rearranged, []];
        }
        [$cause, $facts] = $this->cause($other, $lost, $this->come[$block->task][0] ?? null, $asked);

        return match ($cause) {
            MoveCause::Rearranged => [$cause, []],
            MoveCause::EarlierFree, MoveCause::NoPlace => [$near, ['task' => $block->task]],
            default => [$cause, $facts + ['for' => $block->task]],
        };
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
