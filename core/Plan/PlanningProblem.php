<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Zone;

/**
 * Everything a plan depends on. Contradictions are refused when it is built, so the planner need not look for them.
 */
final readonly class PlanningProblem
{
    /** More than anyone has; beyond it an answer would take minutes. */
    private const MOST_TASKS = 5000;

    /** The first moment at which a block may begin: now, rounded up to the step by the wall clock. */
    public int $first;

    /** Until then the last plan stays as it is. */
    public int $frozenUntil;

    /**
     * @param  int  $now  minutes since 1970-01-01T00:00Z, like every moment here
     * @param  int  $end  the horizon: nothing is placed after it
     * @param  int  $step  minutes, divides 60; blocks begin and end on wall-clock multiples of it
     * @param  array<IntervalSet>  $hours  open time by the name of its set
     * @param  IntervalSet  $busy  meetings with their buffers, and reserved time
     * @param  list<Task>  $tasks
     * @param  list<Block>  $anchored  stay exactly as they are and count toward their task's minutes; also blocks begun
     * @param  list<Block>  $previous  the last plan; empty = plan afresh
     * @param  DayLimit  $dayLimit  for all work together
     * @param  DayLimit  $deepLimit  for deep work
     * @param  array<DayLimit>  $hoursLimits  by the name of a set of hours, for all of its work (its load line)
     * @param  array<array{int, int}>  $parts  of the day by name: minutes of the local day from and until
     * @param  IntervalSet  $bestHours  where deep work goes if that makes it neither late nor a day later
     * @param  IntervalSet  $deepOnly  reserved for deep work
     * @param  int  $freeze  for so many minutes from now the last plan stays as it is
     * @param  list<Habit>  $habits
     * @param  int  $leastPiece  minutes: where a plan is mended no new piece is shorter, unless it is all of its task
     * @param  bool  $lineIsWish  where a plan is mended the load lines may be passed rather than make something late, take a
     *                            pick off its day, or move what was not hit
     * @param  int  $pieceCost  what each piece of a task after its first costs, twice on another day, in twentieths of a
     *                          minute of the objective: whoever comes back to work needs a while to be in it again (S.
     *                          Monsell, "Task switching", Trends in Cognitive Sciences 7, 2003); mending does not ask
     * @param  DayBegins|null  $begins  in which order the work of a day is laid that is laid out anew; null: as is best for
     *                                  the whole plan
     * @param  array<int>  $pulls  by task id: what pulls most is laid first there; of equals the more urgent
     * @param  int|null  $laidOut  the number of a day that is laid out on request where all else is mended; once it has begun
     *                             it is mended like any other
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
        public array $parts = [],
        public ?IntervalSet $bestHours = null,
        public ?IntervalSet $deepOnly = null,
        public ?Breaks $breaks = null,
        public ?Batches $batches = null,
        public int $freeze = 0,
        public array $habits = [],
        public Tempo $tempo = Tempo::Calm,
        public int $leastPiece = 30,
        public bool $lineIsWish = false,
        public int $pieceCost = 0,
        public ?DayBegins $begins = null,
        public array $pulls = [],
        public ?int $laidOut = null,
    ) {
        $step >= 1 && 60 % $step === 0 || throw InvalidProblem::at('step', 'must divide 60');
        $freeze >= 0 || throw InvalidProblem::at('freeze', 'must not be negative');
        $this->ensureTasks();
        $this->ensureNoCycle();
        $this->ensureAnchored();
        $this->ensureHabits();
        $this->first = $this->aligned($now);
        $this->frozenUntil = $this->aligned($now + $freeze);
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

    /** Whether a time lies in the best hours; never where none are said. */
    public function isBest(Interval $time): bool
    {
        return $this->bestHours !== null && $this->bestHours->engulfs($time);
    }

    /** Whether hours of that day have begun: how it begins cannot be chosen any more. */
    public function hasBegun(LocalDay $day): bool
    {
        $span = $this->zone->day($day);
        foreach ($this->hours as $hours) {
            if (($hours->between($span->start, $span->end)->intervals[0]->start ?? PHP_INT_MAX) < $this->first) {
                return true;
            }
        }

        return false;
    }

    /** The day that is laid out on request, if it has not begun. */
    public function dayLaidOut(): ?LocalDay
    {
        $day = $this->laidOut === null ? null : new LocalDay($this->laidOut);

        return $day === null || $this->hasBegun($day) ? null : $day;
    }

    /** The moment itself if it is on the step's grid, else the next one that is. */
    public function aligned(int $minute): int
    {
        return $minute + (-$this->zone->minuteOfDay($minute) % $this->step + $this->step) % $this->step;
    }

    /** The moment itself if it is on the step's grid, else the last one before it that is. */
    public function alignedBefore(int $minute): int
    {
        $next = $this->aligned($minute);

        return $next === $minute ? $minute : $next - $this->step;
    }

    /**
     * The same problem with other tasks, hours, last plan or fixed blocks; null leaves what it has.
     *
     * @param  list<Task>|null  $tasks
     * @param  array<IntervalSet>|null  $hours
     * @param  list<Block>|null  $previous
     * @param  list<Block>|null  $anchored
     * @param  list<Habit>|null  $habits
     * @param  array<DayLimit>|null  $hoursLimits
     *
     * @throws InvalidProblem
     */
    public function with(
        ?array $tasks = null,
        ?array $hours = null,
        ?array $previous = null,
        ?array $anchored = null,
        ?array $habits = null,
        ?DayLimit $dayLimit = null,
        ?array $hoursLimits = null,
        ?Tempo $tempo = null,
        ?DayLimit $deepLimit = null,
    ): self {
        return new self(
            $this->zone, $this->now, $this->end, $this->step, $hours ?? $this->hours, $this->busy, $tasks ?? $this->tasks,
            $anchored ?? $this->anchored, $previous ?? $this->previous, $dayLimit ?? $this->dayLimit, $deepLimit ?? $this->deepLimit,
            $hoursLimits ?? $this->hoursLimits, $this->parts, $this->bestHours, $this->deepOnly, $this->breaks, $this->batches, $this->freeze,
            $habits ?? $this->habits, $tempo ?? $this->tempo, $this->leastPiece, $this->lineIsWish, $this->pieceCost,
            $this->begins, $this->pulls, $this->laidOut,
        );
    }

    private function ensureTasks(): void
    {
        count($this->tasks) <= self::MOST_TASKS
            || throw InvalidProblem::at('tasks', 'are '.count($this->tasks).', more than the '.self::MOST_TASKS.' that can be planned at once');
        $known = [];
        foreach ($this->tasks as $i => $task) {
            $path = "tasks[{$i}]";
            isset($known[$task->id]) && throw InvalidProblem::at($path, "id \"{$task->id}\" appears twice");
            $known[$task->id] = true;
            $task->minutes > 0 && $task->minutes <= 1_000_000 && $task->minutes % $this->step === 0
                || throw InvalidProblem::at("{$path}.minutes", "must be a positive multiple of step (at most 1000000), not {$task->minutes}");
            $task->minChunk >= 1 && $task->minChunk <= $task->maxChunk
                || throw InvalidProblem::at($path, 'needs 1 <= minChunk <= maxChunk');
            $this->ensureHours($path, $task->hours, $task->part);
        }
        foreach ($this->tasks as $i => $task) {
            foreach ($task->after as $name) {
                isset($known[$name]) || throw InvalidProblem::at("tasks[{$i}].after", "unknown task \"{$name}\"");
            }
        }
    }

    private function ensureHours(string $path, string $hours, ?string $part): void
    {
        isset($this->hours[$hours]) || throw InvalidProblem::at("{$path}.hours", "there is no hours set \"{$hours}\"");
        $part === null || isset($this->parts[$part]) || throw InvalidProblem::at("{$path}.part", "there is no part of the day \"{$part}\"");
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

    private function ensureHabits(): void
    {
        $known = array_flip(array_map(static fn (Task $task): string => $task->id, $this->tasks));
        foreach ($this->habits as $i => $habit) {
            isset($known[$habit->id]) && throw InvalidProblem::at("habits[{$i}]", "id \"{$habit->id}\" appears twice");
            $known[$habit->id] = true;
            $habit->minutes > 0 && $habit->minutes % $this->step === 0
                || throw InvalidProblem::at("habits[{$i}].minutes", "must be a positive multiple of step, not {$habit->minutes}");
            $habit->times >= 1 && $habit->times <= 7 || throw InvalidProblem::at("habits[{$i}].times", 'must be 1 to 7');
            $this->ensureHours("habits[{$i}]", $habit->hours, $habit->part);
        }
    }
}
