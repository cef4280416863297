<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Order;

use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\Timetable;

/**
 * Improves an order of tasks by taking tasks to other places. First many at once, by estimate alone (glide); then in
 * batches that are halved where they fail, down to single moves that are laid out and taken only if they are better
 * (descend); at last by small disturbances near what costs most, kept if the repaired order is better or hardly worse
 * (iterated local search; H. R. Lourenço, O. C. Martin, T. Stützle, "Iterated local search", Handbook of Metaheuristics,
 * 2003; the threshold for what is hardly worse shrinks to nothing, as in G. Dueck, T. Scheuer, "Threshold accepting",
 * Journal of Computational Physics 90, 1990). The same orders and budget always give the same result: chance comes from
 * a fixed sequence.
 */
final class OrderSearch
{
    // The numbers below are tuned: what their neighbours do is in bench/sweep.md, made by bench/sweep.

    /** Where the most promising move of a task fails, so many of its next are tried. */
    private const SECOND_THOUGHTS = 1;

    /** So many places after its last change a single move must be ahead, or it is given up. */
    private const PATIENCE = 8;

    /** As many estimates as this for each task take as long as laying out an order. */
    private const ESTIMATE = 7.5;

    /** With more than this to spend, another start is gone on with: chance has favourites. */
    private const RUN = 4000;

    private const SWEEPS = 12;

    private const BATCH = 32;

    /** A task whose moves failed is tried again only if it then promises so much more. */
    private const MORE = 1.05;

    private const DISTURBED = 3;

    private const REACH = 6;

    /** An order that is worse by this share may be gone on from, at the beginning. */
    private const HARDLY_WORSE = 0.01;

    public const CHANCE = 20260311;

    private float $left = 0.0;

    private Sequence $now;

    private readonly MoveEstimate $estimate;

    private readonly Timetable $base;

    /**
     * @param  Timetable|null  $base  with blocks that are kept; null if all time is free
     * @param  int  $chance  where the fixed sequence begins; another number is another sequence
     */
    public function __construct(private readonly Compiled $of, ?Timetable $base = null, private int $chance = self::CHANCE)
    {
        $this->base = $base ?? new Timetable($of);
        $this->estimate = new MoveEstimate($of);
        $this->now = new Sequence($of, $this->base, []);
    }

    /**
     * @param  non-empty-list<list<int>>  $starts  orders of the same tasks to begin with, predecessors first
     * @param  int  $moves  that may be laid out
     * @return list<int> the best order found; with no moves, the best of the given ones
     */
    public function best(array $starts, int $moves): array
    {
        $this->left = (float) $moves;
        $found = [];
        foreach ($starts as $start) {
            $this->now = new Sequence($this->of, $this->base, $start);
            $moves > 0 && $this->glide();
            $found[] = $this->now;
            usort($found, static fn (Sequence $a, Sequence $b): int => $a->cost() <=> $b->cost());
            $found = array_slice($found, 0, max(1, intdiv($moves, self::RUN))); // the others are only memory
        }
        $this->now = $found[0];
        if ($this->left > 0 && count($starts[0]) > 1) {
            $this->goOnFrom(array_slice($found, 0, max(1, (int) ($this->left / self::RUN))));
        }

        return $this->now->order;
    }

    /**
     * Improves each for an equal share of what is left, and the best of them with one more.
     *
     * @param  non-empty-list<Sequence>  $found
     */
    private function goOnFrom(array $found): void
    {
        $share = count($found) > 1 ? $this->left / (count($found) + 1) : $this->left;
        $whole = $this->left;
        foreach ($found as $i => $one) {
            $this->now = $one;
            $this->left = $share;
            $this->descend($this->byExcess($one->order), self::BATCH);
            $this->iterate();
            $found[$i] = $this->now;
        }
        usort($found, static fn (Sequence $a, Sequence $b): int => $a->cost() <=> $b->cost());
        $this->now = $found[0];
        if (count($found) > 1) {
            $this->left = $whole - count($found) * $share;
            $this->iterate();
        }
    }

    private function iterate(): void
    {
        $best = $from = clone $this->now;
        $budget = max(1.0, $this->left);
        while ($this->left > 0) {
            $this->descend($this->disturb(), 2);
            $cost = $this->now->cost();
            if ($cost < $best->cost()) {
                $best = $from = clone $this->now;
            } elseif ($cost <= $from->cost() || $cost < $best->cost() * (1 + self::HARDLY_WORSE * $this->left / $budget)) {
                $from = clone $this->now;
            } else {
                $this->now = clone $from;
            }
        }
        $this->now = $best;
    }

    /** Sweeps over all tasks, taking what promises most without laying it out; a sweep that came out worse is undone. */
    private function glide(): void
    {
        $least = 0.001 * $this->now->cost() / max(1, count($this->now->order));
        $most = PHP_INT_MAX;
        for ($sweep = 0; $sweep < self::SWEEPS && $most > 1; $sweep++) {
            $this->estimate->follow($this->now);
            $ranges = [];
            foreach ($this->byExcess($this->now->order) as $task) {
                $range = $this->takeBest($task, $least);
                $range === null || $ranges[] = $range;
                if (count($ranges) >= $most) {
                    break;
                }
            }
            if ($ranges === []) {
                return;
            }
            if (! $this->takeIfBetter($ranges, $this->now->cost(), PHP_INT_MAX)) {
                $most = intdiv(count($ranges), 4);
            }
        }
    }

    /**
     * Tries tasks until none of them promises anything; tasks near a move that was made are tried again.
     *
     * @param  list<int>  $waiting
     */
    private function descend(array $waiting, int $batch): void
    {
        $queued = array_fill_keys($waiting, true);
        $next = 0;
        $failed = [];
        while (isset($waiting[$next]) && $this->left > 0) {
            $this->estimate->follow($this->now);
            $ranges = $taken = [];
            while (isset($waiting[$next]) && count($ranges) < $batch) {
                $task = $waiting[$next++];
                unset($queued[$task]);
                $range = $this->takeBest($task, $failed[$task] ?? 0.0);
                if ($range !== null) {
                    $ranges[] = $range;
                    $taken[] = $task;
                }
            }
            if ($ranges === []) {
                return;
            }
            if ($this->takeIfBetter($ranges, $this->now->cost(), count($ranges) === 1 ? self::PATIENCE : PHP_INT_MAX)) {
                $batch = count($ranges) >= $batch ? min(2 * $batch, 64) : $batch;
            } elseif (count($ranges) > 1) {
                $batch = intdiv(count($ranges), 2);
                foreach (array_reverse($taken) as $task) {
                    if (! isset($queued[$task])) {
                        $queued[$task] = true;
                        $waiting[--$next] = $task;
                    }
                }

                continue;
            } else {
                $ranges = $this->secondThoughts($taken[0], $failed);
            }
            foreach ($ranges as $range) {
                foreach ($this->around($range) as $task) {
                    if (! isset($queued[$task])) {
                        $queued[$task] = true;
                        $waiting[] = $task;
                    }
                }
            }
        }
    }

    /**
     * The next best moves of a task whose best one failed; after an exchange the best move to another place.
     *
     * @param  array<int, float>  $failed
     * @return list<array{int, int}>
     */
    private function secondThoughts(int $task, array &$failed): array
    {
        $this->estimate->follow($this->now);
        $gains = $this->estimate->gains($task);
        [, $exchange] = $this->estimate->bestExchange($task);
        arsort($gains);
        $best = $gains === [] ? 0 : reset($gains);
        $failed[$task] = self::MORE * max($best, $exchange);
        foreach (array_slice(array_keys($gains), $exchange > $best ? 0 : 1, self::SECOND_THOUGHTS) as $to) {
            if ($this->left <= 0) {
                break;
            }
            $this->estimate->follow($this->now);
            $range = self::range($this->now->place[$task], $to);
            $this->estimate->take($task, $to);
            if ($this->takeIfBetter([$range], $this->now->cost(), self::PATIENCE)) {
                return [$range];
            }
        }

        return [];
    }

    /**
     * Makes the move of a task that promises most, in the estimate: to another place, or to that of an earlier task, which
     * takes its own.
     *
     * @return array{int, int}|null the first and last place that it changes; null if none promises more than $least
     */
    private function takeBest(int $task, float $least): ?array
    {
        $gains = $this->estimate->gains($task);
        [$with, $exchange] = $this->estimate->bestExchange($task);
        $this->left -= self::ESTIMATE / max(60, count($this->estimate->order));
        $gain = $gains === [] ? 0 : max($gains);
        if (max($gain, $exchange) <= $least) {
            return null;
        }
        $at = $this->estimate->place[$task];
        if ($exchange > $gain) {
            $this->estimate->exchange($task, $with);

            return [$with, $at];
        }
        $to = (int) array_search($gain, $gains, true);
        $this->estimate->take($task, $to);

        return self::range($at, $to);
    }

    /** @param  non-empty-list<array{int, int}>  $ranges  of places that the estimate's order changes */
    private function takeIfBetter(array $ranges, int $limit, int $patience): bool
    {
        $this->left--;

        return $this->now->change($this->estimate->order, min(array_column($ranges, 0)), max(array_column($ranges, 1)), $limit, $patience);
    }

    /** @return list<int> tasks that were moved, and their new neighbours */
    private function disturb(): array
    {
        $order = $this->now->order;
        $count = count($order);
        $middle = $this->now->place[$this->costly()];
        $touched = $ranges = [];
        for ($i = 0; $i < self::DISTURBED; $i++) {
            $at = max(0, min($count - 1, $middle + $this->roll(2 * self::REACH) - self::REACH));
            $to = max(0, min($count - 1, $at + $this->roll(2 * self::REACH) - self::REACH));
            $task = $order[$at];
            array_splice($order, $at, 1);
            array_splice($order, $to, 0, [$task]);
            $touched[] = $task;
            $ranges[] = self::range($at, $to);
        }
        $this->left--;
        if (! $this->isSorted($order)) {
            return [];
        }
        $this->now->change($order, min(array_column($ranges, 0)), max(array_column($ranges, 1)), PHP_INT_MAX);
        foreach ($touched as $task) {
            array_push($touched, ...$this->around(self::range($this->now->place[$task], $this->now->place[$task])));
        }

        return array_values(array_unique($touched));
    }

    /** A task drawn by chance, the likelier the more it costs beyond what it must. */
    private function costly(): int
    {
        $sum = 0;
        $sums = [];
        foreach ($this->now->order as $task) {
            $sums[$task] = $sum += (int) sqrt(max(0, $this->now->excess($task)));
        }
        $at = $this->roll(max(1, $sum));
        foreach ($sums as $task => $until) {
            if ($until > $at) {
                return $task;
            }
        }

        return $this->now->order[$this->roll(count($this->now->order))];
    }

    /**
     * @param  array{int, int}  $range
     * @return list<int> tasks at both ends of a range of places, and next to them
     */
    private function around(array $range): array
    {
        $order = $this->now->order;
        $tasks = [];
        foreach (array_unique([...range($range[0] - 1, $range[0] + 1), ...range($range[1] - 1, $range[1] + 1)]) as $place) {
            if (isset($order[$place])) {
                $tasks[] = $order[$place];
            }
        }

        return $tasks;
    }

    /** @param  list<int>  $order */
    private function isSorted(array $order): bool
    {
        $place = array_flip($order);
        foreach ($order as $at => $task) {
            foreach ($this->of->predecessors[$task] as $before) {
                if (($place[$before] ?? -1) > $at) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * @param  list<int>  $tasks
     * @return list<int> what costs most beyond what it must comes first: it stands to gain most
     */
    private function byExcess(array $tasks): array
    {
        $excess = [];
        foreach ($tasks as $task) {
            $excess[$task] = $this->now->excess($task);
        }
        arsort($excess);

        return array_keys($excess);
    }

    /** @return array{int, int} */
    private static function range(int $a, int $b): array
    {
        return $a < $b ? [$a, $b] : [$b, $a];
    }

    /** A number from 0 to $below − 1 of a fixed sequence (a linear congruential generator). */
    private function roll(int $below): int
    {
        $this->chance = ($this->chance * 1_103_515_245 + 12_345) & 0x7FFF_FFFF;

        return ($this->chance >> 8) % $below;
    }
}
