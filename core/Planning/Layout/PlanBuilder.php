<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Layout;

use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\Unplaced;
use Nekto\Core\Plan\UnplacedReason;
use Nekto\Core\Time\Interval;

/** Turns an order of tasks into a plan. */
final readonly class PlanBuilder
{
    /** @param  Timetable  $base  with blocks that are kept */
    public function __construct(private Compiled $of, private Timetable $base) {}

    /**
     * @param  list<int>  $order  of the tasks to lay, predecessors first
     * @param  list<int>  $left  out: tasks that were tried before and found no day
     */
    public function plan(array $order, array $left = []): Plan
    {
        $table = clone $this->base;
        $laid = $missing = $unplaced = [];
        foreach ($order as $task) {
            $table->placeWhole($task);
            $laid[$task] = $table->laid;
            if ($table->last < 0) {
                $missing[] = $task;
            }
        }
        foreach ($missing as $task) {
            $minutes = $table->placeWhatFits($task);
            $laid[$task] = $table->laid;
            $unplaced[] = new Unplaced($this->of->ids[$task], $minutes, $this->reason($table, $task));
        }
        foreach ($left as $task) {
            $unplaced[] = new Unplaced($this->of->ids[$task], $this->of->minutes[$task], UnplacedReason::NoDayLeft);
        }
        $blocks = $this->of->problem->anchored;
        foreach ($this->of->ids as $task => $id) {
            foreach ([...$table->keptOf($task), ...($laid[$task] ?? [])] as [$start, $end]) {
                $blocks[] = new Block($id, new Interval($start, $end));
            }
        }
        usort($blocks, static fn (Block $a, Block $b): int => $a->time->start <=> $b->time->start);

        return new Plan($blocks, $unplaced);
    }

    private function reason(Timetable $table, int $task): UnplacedReason
    {
        $from = $table->earliest($task);

        return UnplacedReason::because($this->of->barred[$task], $from !== null, $from !== null && $table->hasFreeTime($task, $from));
    }
}
