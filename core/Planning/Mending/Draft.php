<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Mending;

use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\Keeping;
use Nekto\Core\Planning\Layout\Room;
use Nekto\Core\Planning\Layout\Timetable;
use Nekto\Core\Time\Interval;

/** A plan while it is mended: what lies where, and what has lost its place. A clone costs next to nothing until it changes. */
final class Draft
{
    public Room $room;

    /** @var array<int, list<array{int, int}>> by task: its blocks beside anchored ones, by start */
    public array $blocks = [];

    /** @var array<int, int> by task: minutes that look for a place */
    public array $loose = [];

    /** @var array<int, int> by task: minutes that found none */
    public array $lost = [];

    /** @var array<int, true> tasks that got a new place: they stay there */
    public array $settled = [];

    /** @var array<int, int> what each task that got a new place fares worse by it */
    public array $fares = [];

    /** @var array<int, int> minutes of the former plan at which each of them does not lie any more */
    private array $elsewhere = [];

    /** @var array<int, true> tasks that moved without being hit */
    public array $pushed = [];

    /** @var array<int, int> minutes from now until each of them ends, as they count */
    private array $ended = [];

    /** What all of them fare worse by, in twentieths of a weighted minute. */
    public int $worse = 0;

    /** Their minutes that lie elsewhere now. */
    public int $minutes = 0;

    /** The sum of their ends: of two drafts that are alike the earlier is better; to lie beside the best hours is as bad as a day later. */
    public int $ends = 0;

    public function __construct(private readonly Compiled $of)
    {
        $this->room = new Room($of);
    }

    public function __clone()
    {
        $this->room = clone $this->room;
    }

    /** Minutes of a block together with those of its task that touch it. */
    public function run(int $task, int $start, int $end): int
    {
        return Keeping::run($this->blocks[$task] ?? [], $start, $end);
    }

    /** Minutes of the one block that it would become with what touches it on its day. */
    public function joined(int $task, int $start, int $end): int
    {
        $minutes = $end - $start;
        foreach ($this->blocks[$task] ?? [] as [$from, $until]) {
            if (($until === $start || $from === $end) && $this->dayOf($task, $from) === $this->dayOf($task, $start)) {
                $minutes += $until - $from;
            }
        }

        return $minutes;
    }

    private function dayOf(int $task, int $moment): int
    {
        return $this->of->lanes->dayOf($this->of->lane[$task], $moment);
    }

    /** Leaves a block where the former plan has it. It must be accepted there. */
    public function keep(int $task, int $start, int $end): void
    {
        $this->room->takeFor($task, $start, $end);
        $this->blocks[$task][] = [$start, $end];
        count($this->blocks[$task]) > 1 && sort($this->blocks[$task]);
    }

    /** Lays minutes of a task into free time of its hours. What they touch of its own becomes one block with them, unless midnight lies between. */
    public function lay(int $task, int $start, int $end): void
    {
        $this->room->takeFor($task, $start, $end);
        $day = $this->dayOf($task, $start);
        $others = [];
        foreach ($this->blocks[$task] ?? [] as [$from, $until]) {
            if ($until === $start && $this->dayOf($task, $from) === $day) {
                $start = $from;
            } elseif ($from === $end && $this->dayOf($task, $from) === $day) {
                $end = $until;
            } else {
                $others[] = [$from, $until];
            }
        }
        $others[] = [$start, $end];
        count($others) > 1 && sort($others);
        $this->blocks[$task] = $others;
    }

    /** Takes minutes of a task away, which lie within one of its blocks. */
    public function take(int $task, int $start, int $end): void
    {
        $this->room->giveBack($task, $start, $end);
        $rest = [];
        foreach ($this->blocks[$task] as [$from, $until]) {
            if ($until <= $start || $from >= $end) {
                $rest[] = [$from, $until];

                continue;
            }
            $from < $start && $rest[] = [$from, $start];
            $until > $end && $rest[] = [$end, $until];
        }
        $this->blocks[$task] = $rest;
    }

    /** Counts how a task fares that has its place, or is to have none. */
    public function count(int $task, int $worse): void
    {
        $this->uncount($task);
        $this->worse += $this->fares[$task] = $worse;
        $this->minutes += $this->elsewhere[$task] = $this->of->moved($task, [...$this->blocks[$task] ?? [], ...$this->of->apart[$task]]);
        $this->ends += $this->ended[$task] = $this->end($task) - $this->of->problem->now + ($this->isAtItsBest($task) ? 0 : Timetable::WORTH_WAITING);
    }

    /** So many minutes of a task that looks for a place cannot lie where they lay: something else does. */
    public function foresee(int $task, int $minutes): void
    {
        $this->minutes += $minutes;
        $this->elsewhere[$task] = ($this->elsewhere[$task] ?? 0) + $minutes;
    }

    /** True unless some of a task that would rather be at certain hours lies beside them. */
    private function isAtItsBest(int $task): bool
    {
        foreach ($this->of->rather[$task] < 0 ? [] : $this->blocks[$task] ?? [] as [$start, $end]) {
            if (! $this->of->problem->isBest(new Interval($start, $end))) {
                return false;
            }
        }

        return true;
    }

    /** What a task fared does not count any more. */
    public function uncount(int $task): void
    {
        $this->worse -= $this->fares[$task] ?? 0;
        $this->minutes -= $this->elsewhere[$task] ?? 0;
        $this->ends -= $this->ended[$task] ?? 0;
        unset($this->fares[$task], $this->elsewhere[$task], $this->ended[$task]);
    }

    /** True if less fares worse, or fewer tasks or minutes moved; where the same tasks moved, if it ends earlier. */
    public function isBetterThan(self $other): bool
    {
        $mine = [$this->worse, count($this->pushed), $this->minutes];
        $its = [$other->worse, count($other->pushed), $other->minutes];

        return $mine < $its || ($mine === $its && $this->ends < $other->ends && array_diff_key($this->pushed, $other->pushed) === []);
    }

    /** When a task ends as it lies, its fixed blocks included; now if it has none. */
    public function end(int $task): int
    {
        $blocks = $this->blocks[$task] ?? [];
        $end = max($this->of->anchoredEnd[$task], $blocks === [] ? 0 : $blocks[count($blocks) - 1][1]);

        return $end > 0 ? $end : $this->of->problem->now;
    }
}
