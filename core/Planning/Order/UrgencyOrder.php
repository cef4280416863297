<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Order;

use Nekto\Core\Planning\Layout\Compiled;

/**
 * Rules that order tasks. Time runs in open minutes of each lane, so a weekend is no slack; work in one lane moves
 * the clock of another on by the share of time they have in common. Predecessors always stand before what comes
 * after them. O(n²), on bare numbers.
 */
final readonly class UrgencyOrder
{
    public function __construct(private Compiled $of) {}

    /**
     * By apparent tardiness cost: weight ÷ minutes, discounted exponentially by the slack that is left when the earlier
     * ones are done (A. P. J. Vepsäläinen and T. E. Morton, "Priority rules for job shops with weighted tardiness
     * costs", Management Science 33(8), 1987), plus the small completion term of our objective. A predecessor is as
     * urgent as what waits for it.
     *
     * @param  float  $lookAhead  how far the rule sees, in average tasks; near 0 it looks only at what is nearly late
     * @return list<int>
     */
    public function byTardinessCost(float $lookAhead): array
    {
        $of = $this->of;
        $sizes = $of->minutes;
        $count = count($sizes);
        $scale = max(1.0, $lookAhead * array_sum($sizes) / max(1, $count));
        [$dues, $rates] = $this->effectiveDues();
        $open = array_map(count(...), $of->predecessors);
        $released = [];
        foreach ($of->release as $task => $release) {
            $released[$task] = $of->lanes->open->minutes($of->lane[$task], $release);
        }
        $clock = array_fill(0, count($of->lanes->starts), 0.0);
        $free = array_filter($open, static fn (int $n): bool => $n === 0);
        $order = [];
        while ($free !== []) {
            $best = -1;
            $most = -1.0;
            foreach (array_keys($free) as $task) {
                $now = $clock[$of->lane[$task]];
                $rate = $of->weight[$task];
                if ($rates[$task] > 0.0) {
                    $slack = $dues[$task] - $sizes[$task] - $now;
                    $rate += $slack > 0 ? $rates[$task] * exp(-$slack / $scale) : $rates[$task];
                }
                if ($released[$task] > $now) {
                    $rate *= 0.5;
                }
                $rate /= $sizes[$task] + 1;
                if ($rate > $most) {
                    $best = $task;
                    $most = $rate;
                }
            }
            $order[] = $best;
            unset($free[$best]);
            foreach ($of->lanes->inCommon[$of->lane[$best]] as $lane => $share) {
                $clock[$lane] += $share * $sizes[$best];
            }
            foreach ($of->successors[$best] as $next) {
                if (--$open[$next] === 0) {
                    $free[$next] = 0;
                }
            }
        }

        return $order;
    }

    /**
     * From the last place to the first: of the tasks that nothing waits for any more, the one that costs least for each
     * of its minutes if it is finished last. Where all can be in time this is best for weighted completion under
     * deadlines on one machine (W. E. Smith, "Various optimizers for single-stage production", Naval Research Logistics
     * Quarterly 3, 1956, section 5). Good where few tasks are late; byTardinessCost() is good where many are.
     *
     * @param  float  $reserve  the share of the time until each due date that is kept free, since gaps cannot be filled
     * @return list<int>
     */
    public function fromTheEnd(float $reserve): array
    {
        $of = $this->of;
        $sizes = $of->minutes;
        $clock = array_fill(0, count($of->lanes->starts), 0.0);
        $dues = [];
        foreach ($sizes as $task => $minutes) {
            foreach ($of->lanes->inCommon[$of->lane[$task]] as $lane => $share) {
                $clock[$lane] += $share * $minutes;
            }
            $dues[$task] = $of->due[$task] === PHP_INT_MAX ? INF : (1 - $reserve) * $of->lanes->open->minutes($of->lane[$task], $of->due[$task]);
        }
        $waiting = array_map(count(...), $of->successors);
        $free = array_filter($waiting, static fn (int $n): bool => $n === 0);
        $order = [];
        while ($free !== []) {
            $best = -1;
            $least = INF;
            foreach (array_keys($free) as $task) {
                $end = $clock[$of->lane[$task]];
                $cost = $of->weight[$task] * $end;
                if ($end > $dues[$task]) {
                    $cost += ($end - $dues[$task]) * $of->lateness[$task];
                }
                $cost /= $sizes[$task] + 1;
                if ($cost < $least) {
                    $best = $task;
                    $least = $cost;
                }
            }
            $order[] = $best;
            unset($free[$best]);
            foreach ($of->lanes->inCommon[$of->lane[$best]] as $lane => $share) {
                $clock[$lane] -= $share * $sizes[$best];
            }
            foreach ($of->predecessors[$best] as $before) {
                if (--$waiting[$before] === 0) {
                    $free[$before] = 0;
                }
            }
        }

        return array_reverse($order);
    }

    /**
     * Earliest due date first, as far as predecessors allow.
     *
     * @return list<int>
     */
    public function byDueDate(): array
    {
        [$dues] = $this->effectiveDues();

        return $this->byRank($dues);
    }

    /**
     * Tasks in a given order, as far as predecessors allow; those it does not name come last.
     *
     * @param  list<string>  $ids
     * @return list<int>
     */
    public function asGiven(array $ids): array
    {
        $places = array_flip($ids);

        return $this->byRank(array_map(static fn (string $id): float => (float) ($places[$id] ?? PHP_INT_MAX), $this->of->ids));
    }

    /**
     * @param  array<int, float>  $ranks  by task
     * @return list<int> the lowest first, but each after all it comes after
     */
    private function byRank(array $ranks): array
    {
        asort($ranks);
        $order = $done = [];
        foreach (array_keys($ranks) as $task) {
            $this->append($task, $ranks, $order, $done);
        }

        return $order;
    }

    /**
     * Adds a task after all it comes after.
     *
     * @param  array<int, float>  $dues
     * @param  list<int>  $order
     * @param  array<int, true>  $done
     */
    private function append(int $task, array $dues, array &$order, array &$done): void
    {
        if (isset($done[$task])) {
            return;
        }
        $before = $this->of->predecessors[$task];
        usort($before, static fn (int $a, int $b): int => $dues[$a] <=> $dues[$b]);
        foreach ($before as $other) {
            $this->append($other, $dues, $order, $done);
        }
        $done[$task] = true;
        $order[] = $task;
    }

    /**
     * For each task the open minutes until it must be done, for its own date or what its successors need, and the weight
     * that hangs on it.
     *
     * @return array{array<int, float>, array<int, float>}
     */
    private function effectiveDues(): array
    {
        $of = $this->of;
        $dues = $rates = [];
        foreach ($of->due as $task => $due) {
            $dues[$task] = $due === PHP_INT_MAX ? INF : (float) $of->lanes->open->minutes($of->lane[$task], $due);
            $rates[$task] = $due === PHP_INT_MAX ? 0.0 : (float) $of->lateness[$task];
        }
        foreach (array_reverse($of->sorted()) as $task) {
            foreach ($of->predecessors[$task] as $before) {
                if ($dues[$before] > $dues[$task] - $of->minutes[$task]) {
                    $dues[$before] = $dues[$task] - $of->minutes[$task];
                }
                $rates[$before] = max($rates[$before], $rates[$task]);
            }
        }

        return [$dues, $rates];
    }
}
