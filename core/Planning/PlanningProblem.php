<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\Zone;

/**
 * Everything a plan depends on. Contradictions are refused when it is built, so the planner need not look for them.
 */
final readonly class PlanningProblem
{
    /** The first moment at which a block may begin: now, rounded up to the step by the wall clock. */
    public int $first;

    /**
     * @param  int  $now  minutes since 1970-01-01T00:00Z, like every moment here
     * @param  int  $end  the horizon: nothing is placed after it
     * @param  int  $step  minutes, divides 60; blocks begin and end on wall-clock multiples of it
     * @param  array<IntervalSet>  $hours  open time by the name of its set
     * @param  IntervalSet  $busy  meetings with their buffers
     * @param  list<Task>  $tasks
     * @param  list<Block>  $anchored  stay exactly as they are and count toward their task's minutes
     * @param  list<Block>  $previous  the last plan; empty = plan afresh
     * @param  DayLimit  $dayLimit  for all work together
     * @param  DayLimit  $deepLimit  for deep work
     * @param  array<DayLimit>  $hoursLimits  by the name of a set of hours, for all of its work (its load line)
     *
     * @throws InvalidProblem if a part contradicts another; the message names the part
     */
    public function __construct(
        public Zone $zone,
        public int $now,
        public int $end,
        public int $step,
        public array $hours,
        public IntervalSet $busy,
        public array $tasks,
        public array $anchored = [],
        public array $previous = [],
        public DayLimit $dayLimit = new DayLimit,
        public DayLimit $deepLimit = new DayLimit,
        public array $hoursLimits = [],
    ) {
        $step >= 1 && 60 % $step === 0 || throw InvalidProblem::at('step', 'must divide 60');
        $this->ensureTasks();
        $this->ensureNoCycle();
        $this->ensureAnchored();
        $first = $now;
        while ($zone->minuteOfDay($first) % $step !== 0) {
            $first++;
        }
        $this->first = $first;
    }

    /** What of the last plan still lies ahead and belongs to a task of the problem. */
    public function hasPrevious(): bool
    {
        foreach ($this->previous as $block) {
            if ($block->time->end > $this->first) {
                return true;
            }
        }

        return false;
    }

    private function ensureTasks(): void
    {
        $known = [];
        foreach ($this->tasks as $i => $task) {
            $path = "tasks[{$i}]";
            isset($known[$task->id]) && throw InvalidProblem::at($path, "id \"{$task->id}\" appears twice");
            $known[$task->id] = true;
            $task->minutes > 0 && $task->minutes <= 1_000_000 && $task->minutes % $this->step === 0
                || throw InvalidProblem::at("{$path}.minutes", "must be a positive multiple of step (at most 1000000), not {$task->minutes}");
            $task->minChunk >= 1 && $task->minChunk <= $task->maxChunk
                || throw InvalidProblem::at($path, 'needs 1 <= minChunk <= maxChunk');
            isset($this->hours[$task->hours])
                || throw InvalidProblem::at("{$path}.hours", "there is no hours set \"{$task->hours}\"");
        }
        foreach ($this->tasks as $i => $task) {
            foreach ($task->after as $name) {
                isset($known[$name]) || throw InvalidProblem::at("tasks[{$i}].after", "unknown task \"{$name}\"");
            }
        }
    }

    /** Kahn's algorithm: what is left over when nothing more is free of predecessors lies on a cycle or behind one. */
    private function ensureNoCycle(): void
    {
        $open = $followers = [];
        foreach ($this->tasks as $task) {
            $open[$task->id] = count(array_unique($task->after));
            foreach (array_unique($task->after) as $name) {
                $followers[$name][] = $task->id;
            }
        }
        $free = array_keys(array_filter($open, static fn (int $count): bool => $count === 0));
        while ($free !== []) {
            $id = array_pop($free);
            unset($open[$id]);
            foreach ($followers[$id] ?? [] as $next) {
                if (--$open[$next] === 0) {
                    $free[] = $next;
                }
            }
        }
        $open === [] || throw InvalidProblem::at('tasks', 'task "'.array_key_first($open).'" comes after itself');
    }

    private function ensureAnchored(): void
    {
        $ids = array_flip(array_map(static fn (Task $task): string => $task->id, $this->tasks));
        $times = [];
        foreach ($this->anchored as $i => $block) {
            isset($ids[$block->task]) || throw InvalidProblem::at("anchored[{$i}]", "unknown task \"{$block->task}\"");
            $times[] = $block->time;
        }
        usort($times, static fn (Interval $a, Interval $b): int => $a->start <=> $b->start);
        for ($i = 1; $i < count($times); $i++) {
            $times[$i]->overlaps($times[$i - 1]) && throw InvalidProblem::at('anchored', 'two anchored blocks overlap');
        }
    }
}
