<?php

declare(strict_types=1);

namespace Nekto\Core\Prospect;

use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Task\DueDate;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;

/**
 * The cheapest ways out when not all work comes in time, each found by really planning again: the smallest move of one
 * due date, the smallest cut of one task, the least valuable task to drop, the fewest extra hours on one day. A way
 * counts if with it all is in time up to the first due date that is missed now, and no more is late after it; whether
 * then all is in time its outcome says.
 */
final readonly class WaysOut
{
    /** Tasks that are tried for each kind of way. */
    private const TRIED = 6;

    private const MOST_DAYS = 28;

    private const MOST_EXTRA = 240;

    private const EXTRA_STEP = 15;

    /** Nobody is asked to begin before six. */
    private const EARLIEST = 360;

    private Outcome $now;

    /** The first due date that is missed; the horizon if only work without a date has no place. */
    private int $until;

    /** @var list<Task> those that can help, the least valuable first */
    private array $competing;

    public function __construct(private PlanningProblem $problem, private Planner $planner = new Planner(effort: 60))
    {
        $this->now = new Outcome($problem, $planner->plan($problem->with(previous: [])));
        $until = $problem->end;
        $finished = 0;
        foreach ($problem->tasks as $task) {
            $due = $task->due->at ?? $problem->end;
            if (isset($this->now->late[$task->id]) && $due < $until) {
                $until = $due;
                $finished = $this->now->finish[$task->id] ?? $problem->end;
            }
        }
        $this->until = $until;
        $finished = max($until, $finished);
        $competing = array_filter($problem->tasks, fn (Task $task): bool => ! $task->waiting
            && (isset($this->now->late[$task->id]) || ($this->now->finish[$task->id] ?? 0) <= $finished));
        usort($competing, static fn (Task $a, Task $b): int => [$a->importance->weight(), -$a->minutes, $a->id] <=> [$b->importance->weight(), -$b->minutes, $b->id]);
        $this->competing = $competing;
    }

    /** How it ends if nothing is changed. */
    public function now(): Outcome
    {
        return $this->now;
    }

    /** @return list<WayOut> the cheapest of each kind; none if all is in time, or where nothing of a kind helps */
    public function all(): array
    {
        if ($this->now->isOnTime()) {
            return [];
        }

        return array_values(array_filter([$this->moveDue(), $this->cut(), $this->drop(), $this->extraHours()]));
    }

    public function moveDue(): ?WayOut
    {
        $best = null;
        $least = self::MOST_DAYS;
        foreach (array_slice($this->lateOnes(), 0, self::TRIED) as $task) {
            $due = $task->due;
            if ($due === null) {
                continue;
            }
            $move = fn (int $days): Outcome => $this->solve($this->instead($task, $task->with(due: new DueDate($this->laterBy($due->at, $days), $due->hard))));
            $found = $this->smallest($least, $move);
            if ($found !== null) {
                [$days, $then] = $found;
                $least = $days - 1;
                $best = new WayOut(WayOutKind::MoveDue, $task->id, $this->laterBy($due->at, $days), $then);
            }
        }

        return $best;
    }

    public function cut(): ?WayOut
    {
        $best = null;
        $least = PHP_INT_MAX;
        $step = $this->problem->step;
        foreach ($this->byNeed() as $task) {
            $most = min(intdiv($task->minutes, $step) - 1, $least - 1);
            $found = $this->smallest($most, fn (int $steps): Outcome => $this->solve($this->instead($task, $task->with(minutes: $task->minutes - $steps * $step))));
            if ($found !== null) {
                [$least, $then] = $found;
                $best = new WayOut(WayOutKind::Cut, $task->id, $least * $step, $then);
            }
        }

        return $best;
    }

    public function drop(): ?WayOut
    {
        foreach (array_slice($this->competing, 0, 2 * self::TRIED) as $task) {
            $then = $this->solve($this->instead($task, null));
            if ($this->isEnough($then)) {
                return new WayOut(WayOutKind::Drop, $task->id, $task->minutes, $then);
            }
        }

        return null;
    }

    public function extraHours(): ?WayOut
    {
        $best = null;
        $least = intdiv(self::MOST_EXTRA, self::EXTRA_STEP);
        foreach ($this->daysToExtend() as [$hours, $day]) {
            foreach ([false, true] as $early) {
                $found = $this->smallest(min($least, $this->roomFor($hours, $day, $early)), fn (int $quarters): Outcome => $this->withExtra($hours, $day, $quarters, $early));
                if ($found !== null) {
                    [$quarters, $then] = $found;
                    $least = $quarters - 1;
                    $best = new WayOut(WayOutKind::ExtraHours, null, $quarters * self::EXTRA_STEP, $then, $this->extra($hours, $day, $quarters, $early), $hours);
                }
            }
        }

        return $best;
    }

    /**
     * The smallest number from 1 on that is enough, by halving; more is taken to help no less.
     *
     * @param  \Closure(int): Outcome  $try
     * @return array{int, Outcome}|null
     */
    private function smallest(int $most, \Closure $try): ?array
    {
        if ($most < 1 || ! $this->isEnough($then = $try($most))) {
            return null;
        }
        $low = 1;
        while ($low < $most) {
            $middle = intdiv($low + $most, 2);
            $found = $try($middle);
            if ($this->isEnough($found)) {
                [$most, $then] = [$middle, $found];
            } else {
                $low = $middle + 1;
            }
        }

        return [$most, $then];
    }

    private function isEnough(Outcome $then): bool
    {
        $after = 0;
        foreach ($this->problem->tasks as $task) {
            $late = $then->late[$task->id] ?? 0;
            if ($late > 0 && ($task->due->at ?? 0) <= $this->until && $this->until < $this->problem->end) {
                return false;
            }
            $after += $late - (($task->due->at ?? 0) > $this->until ? $this->now->late[$task->id] ?? 0 : 0);
        }

        return $after <= 0 && count($then->unplaced) <= count($this->now->unplaced) && ($this->until < $this->problem->end || $then->unplaced === []);
    }

    private function solve(PlanningProblem $problem): Outcome
    {
        return new Outcome($problem, $this->planner->plan($problem));
    }

    private function instead(Task $task, ?Task $other): PlanningProblem
    {
        $tasks = [];
        foreach ($this->problem->tasks as $known) {
            if ($known->id === $task->id) {
                $other === null || $tasks[] = $other;
            } else {
                $tasks[] = $other !== null ? $known : $known->with(after: array_values(array_diff($known->after, [$task->id])));
            }
        }
        $anchored = array_values(array_filter($this->problem->anchored, static fn ($block): bool => $other !== null || $block->task !== $task->id));

        return $this->problem->with(tasks: $tasks, previous: [], anchored: $anchored);
    }

    /** @return list<Task> late and dated, the most late first */
    private function lateOnes(): array
    {
        $late = array_values(array_filter($this->competing, fn (Task $task): bool => isset($this->now->late[$task->id])));
        usort($late, fn (Task $a, Task $b): int => $this->now->late[$b->id] <=> $this->now->late[$a->id]);

        return $late;
    }

    /** @return list<Task> late ones first, then long ones of little value: those a cut may be asked of */
    private function byNeed(): array
    {
        $others = array_filter($this->competing, fn (Task $task): bool => ! isset($this->now->late[$task->id]));

        return [...array_slice($this->lateOnes(), 0, intdiv(self::TRIED, 2)), ...array_slice($others, 0, intdiv(self::TRIED, 2))];
    }

    private function laterBy(int $due, int $days): int
    {
        $zone = $this->problem->zone;

        return $zone->at($zone->dayOf($due - 1)->plusDays($days), $zone->minuteOfDay($due - 1)) + 1;
    }

    /** @return list<array{string, LocalDay}> days with open time before something is late, the first first */
    private function daysToExtend(): array
    {
        $days = [];
        foreach ($this->lateOnes() as $task) {
            $open = $this->problem->hours[$task->hours]->between($this->problem->first, $task->due->at ?? $this->problem->end);
            foreach ($open->intervals as $interval) {
                $day = $this->problem->zone->dayOf($interval->start);
                $days[$task->hours.$day->number] = [$task->hours, $day];
            }
        }

        return array_slice(array_values($days), 0, self::TRIED);
    }

    private function withExtra(string $hours, LocalDay $day, int $quarters, bool $early): Outcome
    {
        $extra = $this->extra($hours, $day, $quarters, $early);
        $open = $this->problem->hours;
        $open[$hours] = $open[$hours]->union(IntervalSet::covering($extra));
        $limits = $this->problem->hoursLimits;
        if (isset($limits[$hours])) {
            $limits[$hours] = $limits[$hours]->raisedOn($day->number, $quarters * self::EXTRA_STEP);
        }

        return $this->solve($this->problem->with(
            hours: $open,
            previous: [],
            dayLimit: $this->problem->dayLimit->raisedOn($day->number, $quarters * self::EXTRA_STEP),
            hoursLimits: $limits,
        ));
    }

    /** Minutes after the last open one of a day, or before the first. */
    private function extra(string $hours, LocalDay $day, int $quarters, bool $early): Interval
    {
        $open = $this->openOn($hours, $day);
        $minutes = $quarters * self::EXTRA_STEP;
        $start = $early ? $open[0]->start - $minutes : end($open)->end;

        return new Interval($start, $start + $minutes);
    }

    /** So many quarters of an hour could be added. */
    private function roomFor(string $hours, LocalDay $day, bool $early): int
    {
        $open = $this->openOn($hours, $day);
        $minutes = $early
            ? $open[0]->start - max($this->problem->first, $this->problem->zone->at($day, self::EARLIEST))
            : $this->problem->zone->day($day)->end - end($open)->end;

        return intdiv(max(0, $minutes), self::EXTRA_STEP);
    }

    /** @return non-empty-list<Interval> */
    private function openOn(string $hours, LocalDay $day): array
    {
        $whole = $this->problem->zone->day($day);
        $open = $this->problem->hours[$hours]->between($whole->start, $whole->end)->intervals;

        return $open === [] ? [$whole] : $open;
    }
}
