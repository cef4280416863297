<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Layout;

/**
 * What time is still free while tasks are laid one after another, as bare numbers. Cloning one costs next to nothing
 * until it is changed, so a search keeps one for each place of its order and goes on from there.
 */
final class Timetable
{
    /** A day later is too late to get the time a task would rather have. */
    public const WORTH_WAITING = 1440;

    public Room $room;

    /** Two timetables that differ here have different time taken. */
    private int $mark = 0;

    /** @var array<int, list<array{int, int}>> by task: blocks that were laid before it was its turn */
    private array $kept = [];

    /** @var array<int, int> by task that others come after: when it is finished, or −1 if it is not completely placed */
    public array $finish = [];

    /** When the task that was placed last is finished, or −1. */
    public int $last = -1;

    /** @var list<array{int, int}> the blocks that the task that was placed last got */
    public array $laid = [];

    /** Of all placed tasks, in twentieths of a minute. */
    public int $cost = 0;

    public function __construct(private readonly Compiled $of)
    {
        $this->room = new Room($of);
    }

    public function __clone()
    {
        $this->room = clone $this->room;
    }

    /** True if whatever is placed from here on is placed alike: the same time is free and the same is used. */
    public function isLike(self $other): bool
    {
        return $this->mark === $other->mark && $this->room->isLike($other->room);
    }

    /**
     * Lays what is left of a task into the earliest free time it may have. Its predecessors must have been placed. One
     * that finds not all of its time takes none: others can use it.
     */
    public function placeWhole(int $task): void
    {
        $of = $this->of;
        $left = $of->minutes[$task] - ($this->kept === [] ? 0 : $this->keptMinutes($task));
        $this->laid = [];
        $from = $of->predecessors[$task] === [] && ! $of->barred[$task] ? $of->release[$task] : $this->earliest($task);
        if ($from === null) {
            $this->close($task, $left + $of->odd[$task], 0);

            return;
        }
        $end = -1;
        if ($left > 0 && $of->odd[$task] === 0) {
            [$lane, $found, $missing] = $this->bestFor($task, $left, $from, PHP_INT_MAX);
            if ($missing === 0) {
                $this->cost += $of->problem->pieceCost > 0 ? $this->pieces($lane, $found) : 0;
                $this->takeAll($task, $lane, $found);
                $left = 0;
                $end = $found[count($found) - 1][2];
            }
        }
        $this->close($task, $left + $of->odd[$task], $end);
    }

    /**
     * Gives a task that does not fit as a whole what time there is, without counting that it was placed before.
     *
     * @return int minutes that found no place
     */
    public function placeWhatFits(int $task): int
    {
        $of = $this->of;
        $left = $of->minutes[$task] - $this->keptMinutes($task);
        $this->laid = [];
        $from = $this->earliest($task);
        if ($from === null) {
            return $left + $of->odd[$task];
        }
        [$found, $missing] = $this->find($task, $of->lane[$task], $left, $from, PHP_INT_MAX);
        $this->takeAll($task, $of->lane[$task], $found);

        return $missing + $of->odd[$task];
    }

    /**
     * Lays all of a task between two moments before it is its turn, as one that was picked for a day. Predecessors that
     * were not laid keep it out.
     *
     * @return bool false if it does not fit; then nothing has changed
     */
    public function placeWithin(int $task, int $from, int $until): bool
    {
        $left = $this->of->minutes[$task] - $this->keptMinutes($task);
        if ($left <= 0) {
            return $this->of->odd[$task] === 0 && ! $this->of->barred[$task] && $this->mayBegin($task, PHP_INT_MAX);
        }

        return $this->of->odd[$task] === 0 && $this->placePart($task, $left, $from, $until);
    }

    /**
     * The same with so many minutes of it.
     *
     * @return bool false if they do not fit; then nothing has changed
     */
    public function placePart(int $task, int $minutes, int $from, int $until): bool
    {
        $of = $this->of;
        if ($of->barred[$task] || ! $this->mayBegin($task, PHP_INT_MAX)) {
            return false;
        }
        foreach ($of->predecessors[$task] as $before) {
            $from = max($from, $this->endOfKept($before));
        }
        [$lane, $found, $missing] = $this->bestFor($task, $minutes, $of->problem->aligned(max($from, $of->release[$task])), $until);
        if ($missing > 0) {
            return false;
        }
        $this->laid = [];
        $this->takeAll($task, $lane, $found);
        $this->kept[$task] = [...($this->kept[$task] ?? []), ...$this->laid];

        return true;
    }

    /**
     * Lays a part of a task between two moments, or what fits of that part; the rest keeps its turn. What lies there
     * already counts.
     *
     * @return int|null minutes of that part that found no place; null if none did: then nothing has changed
     */
    public function placeShareWithin(int $task, int $share, int $from, int $until): ?int
    {
        $of = $this->of;
        $left = $of->minutes[$task] - $this->keptMinutes($task);
        foreach ([...$of->apart[$task], ...$this->kept[$task] ?? []] as [$start, $end]) {
            $share -= $start >= $from && $end <= $until ? $end - $start : 0;
        }
        $share = $of->share($task, $share, $left);
        if ($share <= 0) {
            return 0;
        }
        if ($share >= $left) {
            return $this->placeWithin($task, $from, $until) ? 0 : null;
        }
        if ($share < $of->least[$task] || ! $of->easy[$task] || $of->odd[$task] > 0 || $of->barred[$task] || ! $this->mayBegin($task, PHP_INT_MAX)) {
            return null;
        }
        foreach ($of->predecessors[$task] as $before) {
            $from = max($from, $this->endOfKept($before));
        }
        [$found, $missing] = $this->find($task, $of->lane[$task], $share, $of->problem->aligned(max($from, $of->release[$task])), $until);
        if ($found === []) {
            return null;
        }
        $this->laid = [];
        $this->takeAll($task, $of->lane[$task], $found);
        $this->kept[$task] = [...($this->kept[$task] ?? []), ...$this->laid];

        return $missing;
    }

    /** True if all that a task comes after is kept whole and ends by that moment. */
    public function mayBegin(int $task, int $moment): bool
    {
        foreach ($this->of->predecessors[$task] as $before) {
            if ($this->keptMinutes($before) < $this->of->minutes[$before] || $this->of->odd[$before] > 0 || $this->endOfKept($before) > $moment) {
                return false;
            }
        }

        return true;
    }

    /** Counts a task that was kept whole as placed, wherever its predecessors end. */
    public function countAsPlaced(int $task): void
    {
        $this->close($task, 0, 0);
        $this->finish[$task] = $this->last;
    }

    /** Leaves a block of the last plan where it is. It must be accepted there. */
    public function keep(int $task, int $start, int $end): void
    {
        $this->mark += $end * $end - $start * $start;
        $this->room->takeFor($task, $start, $end);
        $this->kept[$task][] = [$start, $end];
    }

    /** Takes what was kept of a task away again. */
    public function giveBack(int $task): void
    {
        foreach ($this->kept[$task] ?? [] as [$start, $end]) {
            $this->room->giveBack($task, $start, $end);
            $this->mark -= $end * $end - $start * $start;
        }
        unset($this->kept[$task], $this->finish[$task]);
    }

    /** Minutes of a task that were kept. */
    public function keptMinutes(int $task): int
    {
        $minutes = 0;
        foreach ($this->kept[$task] ?? [] as [$start, $end]) {
            $minutes += $end - $start;
        }

        return $minutes;
    }

    /** When the first kept block of a task begins; null if none was kept. */
    public function firstKept(int $task): ?int
    {
        $first = null;
        foreach ($this->kept[$task] ?? [] as [$start]) {
            $first = $first === null ? $start : min($first, $start);
        }

        return $first;
    }

    /** @return list<array{int, int}> start and end of what was kept of a task */
    public function keptOf(int $task): array
    {
        return $this->kept[$task] ?? [];
    }

    /** True if the task's hours have any free time from that moment on. */
    public function hasFreeTime(int $task, int $from): bool
    {
        return $this->room->free->isAnyFrom($this->of->lane[$task], $from);
    }

    /** The first moment of the grid at which a task may begin; null if something keeps it out altogether. */
    public function earliest(int $task): ?int
    {
        $of = $this->of;
        if ($of->barred[$task]) {
            return null;
        }
        $from = $of->release[$task];
        foreach ($of->predecessors[$task] as $before) {
            $finish = $this->finish[$before];
            if ($finish < 0) {
                return null;
            }
            $from = $finish > $from ? $finish : $from;
        }

        return $from === $of->release[$task] ? $from : $of->problem->aligned($from);
    }

    /**
     * Time for all of a task, where it would rather be if that makes it neither late nor a day later.
     *
     * @return array{int, list<array{int, int, int}>, int} lane, window, start and end of each block, and the minutes
     *                                                     without a place
     */
    private function bestFor(int $task, int $left, int $from, int $until): array
    {
        $of = $this->of;
        $lane = $of->lane[$task];
        if ($of->limited[$task] && $this->room->use->most($lane, $of->deep[$task]) < $left) {
            return [$lane, [], $left]; // no need to look: all days are too full for it
        }
        [$found, $missing] = $this->find($task, $lane, $left, $from, $until);
        if ($of->problem->pieceCost > 0 && $missing === 0 && count($found) > 1) {
            $found = $this->inFewer($task, $lane, $left, $from, $until, $found);
        }
        $rather = $of->rather[$task];
        if ($rather >= 0 && $missing === 0) {
            [$better, $without] = $this->find($task, $rather, $left, $from, $until);
            $end = $better === [] ? PHP_INT_MAX : $better[count($better) - 1][2];
            if ($without === 0 && $end <= $of->due[$task] && $end <= $found[count($found) - 1][2] + self::WORTH_WAITING) {
                return [$rather, $better, 0];
            }
        }

        return [$lane, $found, $missing];
    }

    /**
     * The same minutes in as few pieces as they can be in, if what it costs to come back to the work so often is more than
     * what it costs to be finished later.
     *
     * @param  list<array{int, int, int}>  $found
     * @return list<array{int, int, int}>
     */
    private function inFewer(int $task, int $lane, int $left, int $from, int $until, array $found): array
    {
        $of = $this->of;
        $least = $left - $of->most[$task] * (intdiv($left + $of->most[$task] - 1, $of->most[$task]) - 1);
        if ($least <= $of->least[$task]) {
            return $found;
        }
        [$fewer, $missing] = $this->find($task, $lane, $left, $from, $until, $least);

        return $missing === 0 && $this->price($task, $lane, $fewer) < $this->price($task, $lane, $found) ? $fewer : $found;
    }

    /** @param  list<array{int, int, int}>  $found */
    private function price(int $task, int $lane, array $found): int
    {
        return $this->of->cost($task, $found[count($found) - 1][2]) + $this->pieces($lane, $found);
    }

    /**
     * What the pieces of a task cost: each that comes after another, and twice if it lies on another day.
     *
     * @param  list<array{int, int, int}>  $found
     */
    private function pieces(int $lane, array $found): int
    {
        $cost = 0;
        for ($i = 1; $i < count($found); $i++) {
            $cost += $this->room->free->days[$lane][$found[$i][0]] === $this->room->free->days[$lane][$found[$i - 1][0]] ? 1 : 2;
        }

        return $cost * $this->of->problem->pieceCost;
    }

    /**
     * @param  int|null  $piece  the least minutes of each block; null: what the task says
     * @return array{list<array{int, int, int}>, int} window, start and end of each block, and the minutes without a place
     */
    private function find(int $task, int $lane, int $left, int $from, int $until, ?int $piece = null): array
    {
        $of = $this->of;
        $step = $of->problem->step;
        $least = $piece ?? $of->least[$task];
        $most = $of->most[$task];
        $apart = isset($this->kept[$task]) ? [...$of->apart[$task], ...$this->kept[$task]] : $of->apart[$task];
        $limited = $of->limited[$task];
        $starts = $this->room->free->starts[$lane];
        $ends = $this->room->free->ends[$lane];
        $count = count($starts);
        $i = $this->room->free->firstFrom($lane, $from, $of->useful[$lane]);
        $last = $day = -1;
        $run = $free = 0;
        $found = [];
        for (; $left > 0 && $i < $count && $starts[$i] < $until; $i++) {
            $start = $starts[$i];
            $end = $ends[$i] < $until ? $ends[$i] : $until;
            $at = $start > $from ? $start : $from;
            if ($end - $at < $least) {
                continue;
            }
            if ($apart !== []) {
                [$start, $end] = self::apartFrom($apart, $start, $end, $step);
                $at = $start > $from ? $start : $from;
            }
            if ($limited) {
                if ($this->room->free->days[$lane][$i] !== $day) {
                    $day = $this->room->free->days[$lane][$i];
                    $free = $this->room->use->room($lane, $day, $of->deep[$task]);
                }
                if ($free < $least) {
                    continue;
                }
            }
            do {
                $before = $at === $last ? $run : 0;
                if ($most - $before < $least) {
                    $at += $step; // a pause: touching blocks count as one
                    $before = 0;
                }
                $room = $end - $at;
                if ($limited && $free < $room) {
                    $room = $free;
                }
                $room = $most - $before < $room ? $most - $before : $room;
                if ($room >= $left) {
                    $take = $left >= $least ? $left : 0;
                } elseif ($of->easy[$task]) {
                    $take = $left - $room < $least ? $left - $least : $room;
                    $take = $take < $least ? 0 : $take;
                } else {
                    $take = $of->chunks[$task]->next($left, $room);
                }
                if ($take <= 0) {
                    break;
                }
                $last = $at + $take;
                $found[] = [$i, $at, $last];
                $left -= $take;
                $run = $before + $take;
                $free -= $take;
                $at = $last;
            } while ($left > 0);
        }

        return [$found, $left];
    }

    /** When the last fixed or kept block of a task ends; 0 if it has none. */
    public function endOfKept(int $task): int
    {
        return max(0, $this->of->anchoredEnd[$task], ...array_column($this->kept[$task] ?? [], 1));
    }

    /** @param  int  $end  of the last block that was laid now, or less than 1 */
    private function close(int $task, int $missing, int $end): void
    {
        $of = $this->of;
        if ($missing > 0) {
            $this->last = -1;
            $this->cost += $of->cost($task, $of->problem->end + $missing);
        } else {
            if (isset($this->kept[$task]) || $of->anchoredEnd[$task] > 0) {
                $end = max($end, $this->endOfKept($task));
            }
            $this->last = $end > 0 ? $end : $of->problem->now;
            $this->cost += $of->cost($task, $this->last);
        }
        if ($of->successors[$task] !== []) {
            $this->finish[$task] = $this->last;
        }
    }

    /** @param  list<array{int, int, int}>  $found  window, start and end of each block */
    private function takeAll(int $task, int $lane, array $found): void
    {
        $laid = [];
        for ($i = count($found) - 1; $i >= 0; $i--) { // from the last, since a window that is cut in two moves the later ones
            [$window, $start, $end] = $found[$i];
            $this->mark += $end * $end - $start * $start;
            $this->room->take($task, $lane, $window, $start, $end);
            $laid[] = [$start, $end];
        }
        $this->laid = count($laid) > 1 ? array_reverse($laid) : $laid;
    }

    /**
     * A window drawn in by a step where it touches one of the task's own fixed blocks, so that they stay two blocks.
     *
     * @param  list<array{int, int}>  $fixed
     * @return array{int, int}
     */
    private static function apartFrom(array $fixed, int $start, int $end, int $step): array
    {
        foreach ($fixed as [$fixedStart, $fixedEnd]) {
            if ($fixedEnd >= $start && $fixedEnd < $start + $step) {
                $start += $step;
            }
            if ($fixedStart <= $end && $fixedStart > $end - $step) {
                $end -= $step;
            }
        }

        return [$start, $end];
    }
}
