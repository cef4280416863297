<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Mending;

use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\Keeping;
use Nekto\Core\Planning\Promises\HabitTime;
use Nekto\Core\Time\LocalDay;

/** What a former plan is now: whatever may stay lies where it lay, the rest is loose. */
final readonly class Broken
{
    /**
     * @param  list<int>  $order  by urgency: where a day is too full, what comes first stays
     * @param  array<int, HabitTime>  $habits  by task
     * @param  array<int, true>  $fitting  picks that their day has room for, whatever else is laid there
     */
    public function __construct(private Compiled $of, private Former $former, private Places $places, private array $order, private array $habits = [], private array $fitting = []) {}

    public function draft(): Draft
    {
        $draft = new Draft($this->of);
        $torn = [];
        foreach ($this->order as $task) {
            foreach ($this->of->barred[$task] || $this->isBeforeBarred($task) ? [] : $this->of->previousBlocks[$task] ?? [] as [$start, $end]) {
                $this->keep($draft, $task, $start, $end) || $torn[] = [$task, $start, $end];
            }
        }
        foreach ($torn as [$task, $start, $end]) {
            isset($this->habits[$task]) || $this->keepRest($draft, $task, $start, $end);
        }
        foreach ($this->of->sorted() as $task) {
            $this->loosenBefore($draft, $task);
            $this->loosenOffDay($draft, $task);
        }
        $this->layHabits($draft);
        foreach ($this->of->minutes as $task => $minutes) {
            $left = $minutes + $this->of->odd[$task] - self::kept($draft, $task);
            $left > 0 && ! isset($draft->lost[$task]) && $draft->loose[$task] = $left;
        }

        return $draft;
    }

    private function keep(Draft $draft, int $task, int $start, int $end): bool
    {
        $habit = $this->habits[$task] ?? null;
        $rest = $this->of->minutes[$task] - self::kept($draft, $task) - ($end - $start); // be it too short for a block: one can be lengthened by it
        if ($start < ($this->of->problem->tasks[$task]->notBefore ?? 0) || ($habit !== null && ! $this->isFree($draft, $habit, $this->dayOf($start)))
            || ! Keeping::allows($this->of, $draft->room, $draft->blocks[$task] ?? [], $task, $start, $end, $rest)) {
            return false;
        }
        $draft->keep($task, $start, $end);

        return true;
    }

    /** What is left of a block that was hit stays if it is a piece, and so is what has to go elsewhere. */
    private function keepRest(Draft $draft, int $task, int $start, int $end): void
    {
        foreach ($this->places->gaps($draft, $task, max($start, $this->of->release[$task]), $end) as [$from, , $most]) {
            $left = $this->of->minutes[$task] - self::kept($draft, $task);
            $length = $this->places->piece($draft, $task, $left, $from, min($left, $most));
            if ($length > 0) {
                $draft->lay($task, $from, $from + $length);
            }
        }
    }

    /** Nothing stays that begins before what comes before it ends. */
    private function loosenBefore(Draft $draft, int $task): void
    {
        foreach ($this->of->predecessors[$task] as $before) {
            $isWhole = self::kept($draft, $before) >= $this->of->minutes[$before] && $this->of->odd[$before] === 0;
            foreach ($draft->blocks[$task] ?? [] as [$start, $end]) {
                if ($isWhole && $start < $draft->end($before)) {
                    $draft->take($task, $start, $end);
                }
            }
        }
    }

    /** What was picked for a day and lies on others alone goes there if it can; what belongs to a chain follows the chain. */
    private function loosenOffDay(Draft $draft, int $task): void
    {
        $day = $this->former->day[$task];
        if ($day === null || ! isset($this->fitting[$task], $this->former->elsewhere[$task]) || $this->of->predecessors[$task] !== [] || $this->of->successors[$task] !== [] || $this->former->missing($task, $draft->blocks[$task] ?? []) === 0) {
            return;
        }
        foreach ($draft->blocks[$task] ?? [] as [$start, $end]) {
            if (($start < $day[0] || $end > $day[1]) && $start >= $this->of->problem->frozenUntil) {
                $draft->take($task, $start, $end);
            }
        }
    }

    /** A habit goes to the day that suits it best of those that have room; it pushes nothing. */
    private function layHabits(Draft $draft): void
    {
        foreach ($this->habits as $task => $habit) {
            if (($draft->blocks[$task] ?? []) !== []) {
                continue;
            }
            foreach ($habit->sorted(array_values(array_filter($habit->days, fn (int $day): bool => $this->isFree($draft, $habit, $day)))) as $number) {
                $day = $this->of->problem->zone->day(new LocalDay($number));
                $gaps = $this->places->gaps($draft, $task, max($day->start, $this->of->problem->frozenUntil), $day->end);
                foreach ($this->places->whole($draft, $task, $this->of->minutes[$task], $gaps, 1) as [$start, $end]) {
                    $draft->lay($task, $start, $end);
                    break 2;
                }
            }
            ($draft->blocks[$task] ?? []) !== [] || $draft->lost[$task] = $this->of->minutes[$task];
        }
    }

    /** True if the habit may be done on that day and is not yet. */
    private function isFree(Draft $draft, HabitTime $habit, int $day): bool
    {
        foreach ($this->habits as $task => $other) {
            if ($other->habit === $habit->habit && ($draft->blocks[$task] ?? []) !== [] && $this->dayOf($draft->blocks[$task][0][0]) === $day) {
                return false;
            }
        }

        return in_array($day, $habit->days, true);
    }

    private function isBeforeBarred(int $task): bool
    {
        foreach (array_keys($this->of->allPredecessors[$task]) as $before) {
            if ($this->of->barred[$before]) {
                return true;
            }
        }

        return false;
    }

    private function dayOf(int $moment): int
    {
        return $this->of->problem->zone->dayOf($moment)->number;
    }

    private static function kept(Draft $draft, int $task): int
    {
        $minutes = 0;
        foreach ($draft->blocks[$task] ?? [] as [$start, $end]) {
            $minutes += $end - $start;
        }

        return $minutes;
    }
}
