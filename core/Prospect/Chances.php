<?php

declare(strict_types=1);

namespace Nekto\Core\Prospect;

use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\Timeline;

/**
 * The chance of each task to be finished by its due date if work takes as long as it did in the past: many runs in which
 * every task takes its minutes times a ratio drawn by chance, one after another in the order of the plan, through the
 * time that is open. What ends early lets the next begin early, as far as its earliest start allows; what runs over
 * pushes all that follows. The same seed gives the same chances.
 */
final class Chances
{
    /**
     * Surprises take none to so much of the margin. From `bench/calibration`: with it, of what is said to be 80 % in time 80 %
     * is; with none 55, with all of it 88 (a simulated year whose days lose a tenth of their time).
     */
    private const SURPRISES = 0.75;

    /** Ratios are drawn from so many equal shares of their distribution. */
    private const SHARES = 256;

    /** @var array<string, float> from 0 to 1 by task, completely placed ones with a due date */
    public readonly array $byTask;

    private int $state;

    /**
     * @param  Ratios  $usual  for all tasks
     * @param  array<string, Ratios>  $special  by task, instead
     * @param  float  $margin  the share of open time that is kept free for surprises, which take some of it
     */
    public function __construct(PlanningProblem $problem, Plan $plan, Ratios $usual, array $special = [], int $runs = 1000, int $seed = 1, private readonly float $margin = 0.0)
    {
        $this->state = $seed & 0x7FFF_FFFF;
        $outcome = new Outcome($problem, $plan);
        $chances = [];
        foreach ($this->strands($problem) as [$hours, $open]) {
            $chances += $this->simulate($problem, $plan, $outcome, new Timeline($open), $hours, $usual, $special, max(1, $runs));
        }
        $this->byTask = $chances;
    }

    /**
     * Sets of hours that share time run on one clock.
     *
     * @return list<array{array<string, true>, IntervalSet}>
     */
    private function strands(PlanningProblem $problem): array
    {
        $strands = [];
        foreach ($problem->hours as $name => $hours) {
            $names = [(string) $name => true];
            $open = $hours->between($problem->first, $problem->end)->without($problem->busy);
            foreach ($strands as $i => [$others, $time]) {
                if (! $time->intersection($open)->isEmpty()) {
                    $names += $others;
                    $open = $open->union($time);
                    unset($strands[$i]);
                }
            }
            $strands[] = [$names, $open];
        }

        return array_values($strands);
    }

    /**
     * @param  array<string, true>  $hours
     * @param  array<string, Ratios>  $special
     * @return array<string, float>
     */
    private function simulate(PlanningProblem $problem, Plan $plan, Outcome $outcome, Timeline $open, array $hours, Ratios $usual, array $special, int $runs): array
    {
        $index = $due = $earliest = $shares = $ids = $known = [];
        foreach ($problem->tasks as $task) {
            if (isset($hours[$task->hours])) {
                $index[$task->id] = count($ids);
                $ids[] = $task->id;
                $due[] = $task->due === null || ! isset($outcome->finish[$task->id]) ? -1 : $open->position($task->due->at);
                $earliest[] = $open->position($task->notBefore ?? $problem->first);
                $ratios = $special[$task->id] ?? $usual;
                $shares[] = $known[spl_object_id($ratios)] ??= self::shares($ratios);
            }
        }
        $steps = [];
        foreach ($plan->blocks as $block) {
            if (isset($index[$block->task])) {
                $start = $block->anchored ? $open->position($block->time->start) : $earliest[$index[$block->task]];
                $steps[] = [$index[$block->task], $block->time->length(), $start];
            }
        }
        $inTime = array_fill(0, count($ids), 0);
        $lost = min(0.8, self::SURPRISES * $this->margin);
        for ($run = 0; $run < $runs; $run++) {
            $ratio = $longer = $end = [];
            foreach ($shares as $task => $values) {
                $this->state = ($this->state * 1_103_515_245 + 12_345) & 0x7FFF_FFFF;
                $ratio[$task] = $values[($this->state >> 16) % self::SHARES];
                $longer[$task] = $lost === 0.0 ? 1.0 : 1 / (1 - $lost * (($this->state >> 8) % self::SHARES) / self::SHARES);
            }
            $at = 0.0;
            foreach ($steps as [$task, $minutes, $start]) {
                $at = ($at > $start ? $at : $start) + $minutes * $ratio[$task] * $longer[$task];
                $end[$task] = $at;
            }
            foreach ($end as $task => $finish) {
                if ($finish <= $due[$task] + 1e-6) {
                    $inTime[$task]++;
                }
            }
        }
        $chances = [];
        foreach ($ids as $task => $id) {
            if ($due[$task] >= 0) {
                $chances[$id] = $inTime[$task] / $runs;
            }
        }

        return $chances;
    }

    /** @return list<float> */
    private static function shares(Ratios $ratios): array
    {
        $shares = [];
        for ($i = 0; $i < self::SHARES; $i++) {
            $shares[] = $ratios->at(($i + 0.5) / self::SHARES);
        }

        return $shares;
    }
}
