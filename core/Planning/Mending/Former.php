<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Mending;

use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Time\LocalDay;

/**
 * What mending measures itself by: how each task fared in the plan that broke. Only what gets worse counts, in twentieths
 * of a weighted minute; what the former plan was content with is no reason to move anything.
 */
final readonly class Former
{
    /** What a pick costs that leaves its day: it is the last thing to be given up. In twentieths of a weighted minute. */
    private const PROMISE = 20 * 100_000;

    /** @var array<int, int> by task: how late it was; 0 where it had no place */
    public array $late;

    /** @var array<int, int> by task: when its last block ended */
    public array $end;

    /** @var list<int> by task: until when it may end without faring worse, on the grid; the horizon where nothing is due */
    public array $until;

    /** @var list<array{int, int}|null> by task: the day it was picked for, from now on */
    public array $day;

    /** @var array<int, true> picks of which the former plan had nothing on their day */
    public array $elsewhere;

    /** @var list<int> by task: minutes wanted on that day: as many as were there, or where none were, as it was picked with */
    private array $share;

    public function __construct(private Compiled $of)
    {
        $problem = $of->problem;
        $late = $ends = $until = $days = $elsewhere = $share = $times = [];
        foreach ([...$problem->previous, ...$problem->anchored] as $block) {
            $task = $of->index[$block->task] ?? null;
            if ($task !== null) {
                $ends[$task] = max($ends[$task] ?? 0, $block->time->end);
                $times[$task][] = [$block->time->start, $block->time->end];
            }
        }
        foreach ($problem->tasks as $task => $known) {
            $late[$task] = max(0, ($ends[$task] ?? 0) - $of->due[$task]);
            $until[] = $of->due[$task] === PHP_INT_MAX ? $problem->end : $problem->alignedBefore(min($problem->end, $of->due[$task] + $late[$task]));
            $day = $known->pick === null ? null : $problem->zone->day(new LocalDay($known->pick));
            $days[] = $day === null || $day->end <= $problem->first ? null : [$day->start, $day->end];
            $there = $day === null ? 0 : self::within($times[$task] ?? [], $day->start, $day->end);
            if ($day !== null && $there === 0) {
                $elsewhere[$task] = true;
            }
            $wanted = $of->share($task, $known->pickMinutes ?? $known->minutes, $known->minutes);
            $share[] = $there > 0 ? min($known->minutes, $there) : ($wanted < $of->least[$task] ? 0 : $wanted);
        }
        $this->late = $late;
        $this->end = $ends;
        $this->until = $until;
        $this->day = $days;
        $this->elsewhere = $elsewhere;
        $this->share = $share;
    }

    /** What it costs that a task ends then, beyond what it cost before. */
    public function worse(int $task, int $end): int
    {
        return $this->of->lateness[$task] * max(0, $end - $this->of->due[$task] - $this->late[$task]);
    }

    /**
     * What it costs that some minutes of a task have no place: as if they were done after the horizon. What is due at no
     * time is late from where it ended.
     */
    public function without(int $task, int $minutes): int
    {
        if ($this->of->due[$task] < PHP_INT_MAX) {
            return $this->worse($task, $this->of->problem->end + $minutes);
        }

        return 20 * $this->of->weight[$task] * ($this->of->problem->end + $minutes - ($this->end[$task] ?? $this->of->problem->now));
    }

    /**
     * What it costs that a pick is not on its day with all that was wanted there: half where it was not before.
     *
     * @param  list<array{int, int}>  $blocks
     */
    public function broken(int $task, array $blocks): int
    {
        if ($this->missing($task, $blocks) === 0) {
            return 0;
        }

        return $this->missing($task, $this->of->previousBlocks[$task] ?? []) === 0 ? self::PROMISE : intdiv(self::PROMISE, 2);
    }

    /**
     * Minutes of a pick that are not on its day.
     *
     * @param  list<array{int, int}>  $blocks
     */
    public function missing(int $task, array $blocks): int
    {
        if ($this->day[$task] === null) {
            return 0;
        }

        return max(0, $this->share[$task] - self::within([...$blocks, ...$this->of->apart[$task]], ...$this->day[$task]));
    }

    /** Minutes that the former plan had of a task from now on. */
    public function minutes(int $task): int
    {
        return $this->of->moved($task, []);
    }

    /** @param  list<array{int, int}>  $times */
    private static function within(array $times, int $start, int $end): int
    {
        return array_sum(array_map(static fn (array $time): int => max(0, min($end, $time[1]) - max($start, $time[0])), $times));
    }
}
