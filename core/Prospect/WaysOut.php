<?php

declare(strict_types=1);

namespace Nekto\Core\Prospect;

use Nekto\Core\Day\DayLoad;
use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Prospect\Flow\Overload;
use Nekto\Core\Task\DueDate;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;

/**
 * The cheapest ways out when not all work comes in time: the smallest move of one due date, the smallest cut of one task,
 * the least valuable task to drop, the fewest extra hours on one day. How much is missing at a due date (Feasibility) says
 * how much each must be at least; a flow (Overload) knows which tasks it could be about, and that what wins less than that
 * need not be tried. Whether it is enough is found by planning again, from the order of the plan as it is, with that much
 * and then a little more. A way counts if with it all is in time that is due at the first date that cannot be met now, and
 * what is late for other reasons is about as late as it was.
 */
final class WaysOut
{
    /** Tasks and days that are tried for each kind of way. */
    private const TRIED = 3;

    /** Minutes more than are missing that are tried, since gaps cannot all be filled. */
    private const MORE = [0, 30, 60];

    /** Days later that are looked at. */
    private const DAYS = [1, 2, 4, 7, 14, 28];

    private const MOST_EXTRA = 240;

    private const EXTRA_STEP = 15;

    /** Nobody is asked to begin before six. */
    private const EARLIEST = 360;

    /** Orders that may be laid out for each plan: of few tasks more, in the same time. */
    private const EFFORT = 4000;

    private const LEAST_EFFORT = 16;

    private const MOST_EFFORT = 80;

    /** So many times as many where a second look may pay. */
    private const PATIENCE = 4;

    /** What is late for other reasons may be later by this share: so much a plan of so little effort scatters. */
    private const AS_LATE = 0.1;

    /** @var list<Task>|null */
    private ?array $helpful = null;

    /** @var array<Outcome> by id of the task that is left out */
    private array $without = [];

    /** The first due date that no plan meets; null where that is not known before planning. */
    public readonly ?DuePoint $crunch;

    private readonly Planner $planner;

    private readonly Planner $patient;

    private readonly Outcome $now;

    /** That date, or the first that the plan misses; the horizon if only work without a date has no place. */
    private readonly int $until;

    /** So much is too much in any case, be it for other reasons too. In minutes. */
    public readonly int $atLeast;

    /** Minutes that must be won at least; 0 where it is not known. */
    private readonly int $missing;

    /** @var list<Task> those that can help, the least valuable first */
    private readonly array $competing;

    /**
     * @param  Plan|null  $plan  as it is laid out, to begin from; null: one is made
     * @param  DuePoint|null  $crunch  the one to get out of, where it is known; null: the first
     * @param  int  $margin  % of open time that a load line keeps free: so much of extra hours is not worked
     */
    public function __construct(private readonly PlanningProblem $problem, ?Plan $plan = null, private readonly int $margin = 0, ?DuePoint $crunch = null)
    {
        $alone = $problem->with(previous: []);
        $effort = max(self::LEAST_EFFORT, min(self::MOST_EFFORT, intdiv(self::EFFORT, max(1, count($problem->tasks)))));
        $order = self::order($problem, $plan ?? (new Planner(effort: 0))->plan($alone));
        $this->planner = new Planner($effort, $order, arranged: false); // in which order a day goes makes nothing late
        $this->patient = new Planner(self::PATIENCE * $effort, $order, arranged: false);
        $solved = new Outcome($alone, $this->planner->plan($alone));
        $laid = $plan === null ? $solved : new Outcome($alone, $plan);
        $this->now = $laid->cost < $solved->cost ? $laid : $solved;
        $this->crunch = $crunch ?? (new Feasibility($problem))->firstCrunch();
        $until = $this->crunch->due ?? $problem->end;
        $finished = 0;
        foreach ($this->crunch === null ? $problem->tasks : [] as $task) {
            $due = $task->due->at ?? $problem->end;
            if (isset($this->now->late[$task->id]) && $due < $until) {
                $until = $due;
                $finished = $this->now->finish[$task->id] ?? $problem->end;
            }
        }
        $this->until = $until;
        $overload = Overload::of($alone, $until);
        $this->missing = $this->crunch?->missing() ?? 0;
        $this->atLeast = max($this->missing, $overload->missing);
        $finished = max($until, $finished);
        $competing = array_filter($problem->tasks, fn (Task $task): bool => ! $task->waiting && $this->canHelp($task, $finished) && ($overload->missing === 0 || isset($overload->competing[$task->id])));
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
        if ($this->now->isOnTime() && $this->crunch === null) {
            return [];
        }

        return array_values(array_filter([$this->moveDue(), $this->cut(), $this->drop(), $this->extraHours()]));
    }

    /** The fewest days later that are enough for any: of the steps that are looked at, found by halving. */
    public function moveDue(): ?WayOut
    {
        $best = null;
        $least = count(self::DAYS);
        foreach (array_filter($this->helpful(), static fn (Task $task): bool => $task->due !== null) as $task) {
            [$low, $high] = [0, $least - 1];
            while ($low <= $high) {
                $middle = intdiv($low + $high, 2);
                $due = $this->laterBy($task->due->at ?? 0, self::DAYS[$middle]);
                $isTooSoon = $due <= $this->until && $this->until < $this->problem->end;
                $then = $isTooSoon ? null : $this->solve($this->instead($task, $task->with(due: new DueDate($due, $task->due->hard ?? false))));
                if ($this->isEnough($then)) {
                    $best = new WayOut(WayOutKind::MoveDue, $task->id, $due, $then);
                    $least = $middle;
                    $high = $middle - 1;
                } else {
                    $low = $middle + 1;
                }
            }
        }

        return $best;
    }

    public function cut(): ?WayOut
    {
        foreach (self::MORE as $more) {
            $by = $this->inSteps(max($this->problem->step, $this->missing) + $more);
            foreach (array_filter($this->helpful(), fn (Task $task): bool => $task->minutes - $by >= $this->problem->leastPiece) as $task) {
                $then = $this->solve($this->instead($task, $task->with(minutes: $task->minutes - $by)));
                if ($this->isEnough($then)) {
                    return new WayOut(WayOutKind::Cut, $task->id, $by, $then);
                }
            }
        }

        return null;
    }

    public function drop(): ?WayOut
    {
        $task = $this->helpful()[0] ?? null;

        return $task === null ? null : new WayOut(WayOutKind::Drop, $task->id, $task->minutes, $this->without[$task->id]);
    }

    /**
     * Tasks without which it would be enough, the least valuable first: to move or to cut another one cannot be.
     *
     * @return list<Task>
     */
    private function helpful(): array
    {
        if ($this->helpful === null) {
            $this->helpful = [];
            foreach (array_slice($this->longEnough(), 0, 2 * self::TRIED) as $task) {
                $then = count($this->helpful) < self::TRIED ? $this->solve($this->instead($task, null)) : null;
                if ($this->isEnough($then)) {
                    $this->helpful[] = $task;
                    $this->without[$task->id] = $then;
                }
            }
        }

        return $this->helpful;
    }

    public function extraHours(): ?WayOut
    {
        foreach (self::MORE as $more) {
            $open = intdiv(100 * (max(1, $this->missing) + $more) + 99 - $this->margin, 100 - $this->margin);
            $quarters = intdiv($open + self::EXTRA_STEP - 1, self::EXTRA_STEP);
            foreach ($quarters * self::EXTRA_STEP > self::MOST_EXTRA ? [] : $this->daysToExtend() as [$hours, $day]) {
                foreach ([false, true] as $early) {
                    if ($quarters > $this->roomFor($hours, $day, $early)) {
                        continue;
                    }
                    $then = $this->withExtra($hours, $day, $quarters, $early);
                    if ($this->isEnough($then)) {
                        return new WayOut(WayOutKind::ExtraHours, null, $quarters * self::EXTRA_STEP, $then, $this->extra($hours, $day, $quarters, $early), $hours);
                    }
                }
            }
        }

        return null;
    }

    /** @return list<string> tasks by their ends in a plan, so that what must come first does */
    private static function order(PlanningProblem $problem, Plan $plan): array
    {
        $ends = [];
        foreach ($plan->blocks as $block) {
            $ends[$block->task] = max($ends[$block->task] ?? 0, $block->time->end);
        }
        foreach ($plan->unplaced as $one) {
            unset($ends[$one->task]);
        }
        $order = array_map(static fn (Task $task): string => $task->id, $problem->tasks);
        usort($order, static fn (string $a, string $b): int => ($ends[$a] ?? PHP_INT_MAX) <=> ($ends[$b] ?? PHP_INT_MAX));

        return $order;
    }

    private function canHelp(Task $task, int $finished): bool
    {
        return $this->crunch === null
            ? isset($this->now->late[$task->id]) || ($this->now->finish[$task->id] ?? 0) <= $finished
            : in_array($task->id, $this->crunch->tasks, true);
    }

    /** @return list<Task> competing ones with enough minutes to make up for what is missing, the least valuable first */
    private function longEnough(): array
    {
        return array_values(array_filter($this->competing, fn (Task $task): bool => $task->minutes >= $this->missing));
    }

    private function inSteps(int $minutes): int
    {
        return intdiv($minutes + $this->problem->step - 1, $this->problem->step) * $this->problem->step;
    }

    /** @phpstan-assert-if-true !null $then */
    private function isEnough(?Outcome $then): bool
    {
        return $then !== null && $this->isMet($then) && $this->isAsGoodBeside($then);
    }

    /** Whether all is in time that is due at the date. */
    private function isMet(Outcome $then): bool
    {
        foreach ($this->problem->tasks as $task) {
            if (isset($then->late[$task->id]) && $task->due?->at === $this->until) {
                return false;
            }
        }

        return count($then->unplaced) <= count($this->now->unplaced) && ($this->until < $this->problem->end || $then->unplaced === []);
    }

    private function isAsGoodBeside(Outcome $then): bool
    {
        return $this->lateBeside($then) <= (1 + self::AS_LATE) * $this->lateBeside($this->now);
    }

    /** What the lateness of all that is due at other times costs, in twentieths of a weighted minute. */
    private function lateBeside(Outcome $outcome): int
    {
        $sum = 0;
        foreach ($this->problem->tasks as $task) {
            $sum += $task->due?->at === $this->until ? 0 : $outcome->lateness[$task->id] ?? 0;
        }

        return $sum;
    }

    /**
     * How it ends with a change; null where it is known without planning that this is too little. Where the date is met but
     * something else got later, that may be for lack of effort.
     */
    private function solve(PlanningProblem $problem): ?Outcome
    {
        if (Overload::of($problem, $this->until)->missing > $this->atLeast - $this->missing) {
            return null;
        }
        $then = new Outcome($problem, $this->planner->plan($problem));

        return $this->isMet($then) && ! $this->isAsGoodBeside($then) ? new Outcome($problem, $this->patient->plan($problem)) : $then;
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
        $anchored = array_values(array_filter($this->problem->anchored, static fn (Block $block): bool => $other !== null || $block->task !== $task->id));

        return $this->problem->with(tasks: $tasks, previous: [], anchored: $anchored);
    }

    private function laterBy(int $due, int $days): int
    {
        $zone = $this->problem->zone;

        return $zone->at($zone->dayOf($due - 1)->plusDays($days), $zone->minuteOfDay($due - 1)) + 1;
    }

    /** @return list<array{string, LocalDay}> days with open time before what cannot be met, the first first */
    private function daysToExtend(): array
    {
        $days = [];
        $sets = $this->crunch === null
            ? array_unique(array_map(static fn (Task $task): string => $task->hours, array_filter($this->competing, fn (Task $task): bool => isset($this->now->late[$task->id]))))
            : [$this->crunch->hours];
        foreach ($sets as $hours) {
            foreach ($this->problem->hours[$hours]->between($this->problem->first, $this->until)->intervals as $interval) {
                $day = $this->problem->zone->dayOf($interval->start);
                $days[$hours.$day->number] = [$hours, $day];
            }
        }

        return array_slice(array_values($days), 0, self::TRIED);
    }

    private function withExtra(string $hours, LocalDay $day, int $quarters, bool $early): ?Outcome
    {
        $extra = $this->extra($hours, $day, $quarters, $early);
        $open = $this->problem->hours;
        $open[$hours] = $open[$hours]->union(IntervalSet::covering($extra));
        $limits = $this->problem->hoursLimits;
        $worked = DayLoad::line($extra->length(), $this->margin);
        if (isset($limits[$hours])) {
            $limits[$hours] = $limits[$hours]->raisedOn($day->number, $worked);
        }

        return $this->solve($this->problem->with(
            hours: $open,
            previous: [],
            dayLimit: $this->problem->dayLimit->raisedOn($day->number, $worked),
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
