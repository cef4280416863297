<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Mending;

use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\Unplaced;
use Nekto\Core\Plan\UnplacedReason;
use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\FreeTime;
use Nekto\Core\Planning\Layout\PlanBuilder;
use Nekto\Core\Planning\Promises\Commitments;
use Nekto\Core\Planning\Promises\HabitTime;
use Nekto\Core\Planning\Repair\Repair;
use Nekto\Core\Time\Interval;

/** Makes a plan of a former one with the least change. */
final readonly class Mender
{
    /** More than so much that fares worse and need not (500 weighted hours, in twentieths of a minute) is no small break any more. */
    private const GRAVE = 20 * 30_000;

    /** Orders that may be laid out where it is. */
    private const EFFORT = 600;

    /** @param  array<string, HabitTime>  $habits  by task id */
    public function __construct(private Compiled $of, private FreeTime $free, private array $habits) {}

    /** @param  list<int>  $order  by urgency, predecessors first */
    public function plan(array $order): Plan
    {
        $isWish = $this->of->problem->lineIsWish;
        [$draft, $ways, $least] = $this->mended($this->of, $order, again: ! $isWish);
        if ($isWish && ($draft->worse > $least || $draft->pushed !== [])) { // the margin is there for surprises
            [$other, $otherWays] = $this->mended(new Compiled($this->of->problem->with(hoursLimits: []), $this->free), $order, again: true);
            [$draft, $ways] = [$other->worse, count($other->pushed)] < [$draft->worse, count($draft->pushed)] ? [$other, $otherWays] : [$draft, $ways];
        }
        if ($draft->worse - $least > self::GRAVE) {
            $other = $ways->measured($this->laidAround($order, new Places($this->of, $this->of->problem->leastPiece)));
            $draft = Mending::price($other) < Mending::price($draft) ? $other : $draft;
        }

        return $this->asPlan($ways->withWhatFits($draft));
    }

    /**
     * @param  list<int>  $order
     * @return array{Draft, Ways, int} and what fares worse in any case
     */
    private function mended(Compiled $of, array $order, bool $again): array
    {
        $former = new Former($of);
        $places = new Places($of, $of->problem->leastPiece);
        $habits = [];
        foreach ($this->habits as $id => $time) {
            $habits[$of->index[$id]] = $time;
        }
        $broken = (new Broken($of, $former, $places, $order, $habits, $this->fitting($of, $former, $order)))->draft();
        $ways = new Ways($of, $former, $places, array_map(static fn (): bool => true, $broken->loose) + $this->onTheDayLaidOut($of), array_fill_keys(array_keys($habits), true));

        $least = $ways->least($broken);

        return [(new Mending($ways, $order, $of, $least))->mended($broken, $again), $ways, $least];
    }

    /** @return array<int, true> tasks with blocks on a day that is laid out on request: to move them is what was asked for */
    private function onTheDayLaidOut(Compiled $of): array
    {
        $laidOut = $of->problem->dayLaidOut();
        if ($laidOut === null) {
            return [];
        }
        $day = $of->problem->zone->day($laidOut);
        $there = [];
        foreach ($of->previousBlocks as $task => $blocks) {
            foreach ($blocks as [$start]) {
                $start >= $day->start && $start < $day->end && $there[$task] = true;
            }
        }

        return $there;
    }

    /**
     * Picks that would be on their day if it were laid out anew: only these are taken there from another day.
     *
     * @param  list<int>  $order
     * @return array<int, true>
     */
    private function fitting(Compiled $of, Former $former, array $order): array
    {
        if (array_filter($former->day) === []) {
            return [];
        }
        $table = (new Commitments(new Compiled($of->problem->with(previous: []), $this->free), $order, $this->habits))->table;

        return array_filter(array_map(static fn (int $task): bool => $former->missing($task, $table->keptOf($task)) === 0, array_combine($order, $order)));
    }

    /**
     * With whole stretches laid anew where that pays: no small change, but none that is avoided at any price.
     *
     * @param  list<int>  $order
     */
    private function laidAround(array $order, Places $places): Plan
    {
        $problem = $this->of->problem;
        $tasks = [];
        foreach ($problem->tasks as $task => $known) {
            $shortest = min([PHP_INT_MAX, ...array_map(static fn (array $block): int => $block[1] - $block[0], $this->of->previousBlocks[$task] ?? [])]);
            $tasks[] = $known->with(minChunk: max($known->minChunk, min($shortest, $places->piece[$task]))); // a scrap that was there may stay
        }
        $of = new Compiled($problem->with(tasks: $tasks), $this->free);
        $commitments = new Commitments($of, $order, $this->habits);
        $order = array_values(array_diff($order, $commitments->without));
        [$table, $found] = (new Repair($of, $commitments->table, $order, Repair::PRICE, self::EFFORT))->solve();

        return (new PlanBuilder($of, $table))->plan($found, $commitments->without);
    }

    private function asPlan(Draft $draft): Plan
    {
        $blocks = $this->of->problem->anchored;
        $unplaced = [];
        foreach ($this->of->ids as $task => $id) {
            foreach ($draft->blocks[$task] ?? [] as [$start, $end]) {
                $blocks[] = new Block($id, new Interval($start, $end));
            }
            if (($draft->lost[$task] ?? 0) > 0) {
                $unplaced[] = new Unplaced($id, $draft->lost[$task], $this->reason($draft, $task));
            }
        }
        usort($blocks, static fn (Block $a, Block $b): int => $a->time->start <=> $b->time->start);

        return new Plan($blocks, $unplaced);
    }

    private function reason(Draft $draft, int $task): UnplacedReason
    {
        if (isset($this->habits[$this->of->ids[$task]])) {
            return UnplacedReason::NoDayLeft;
        }
        $lost = array_intersect_key($draft->lost, array_flip($this->of->predecessors[$task]));

        return UnplacedReason::because($this->of->barred[$task], $lost === [], $draft->room->free->isAnyFrom($this->of->lane[$task], $this->of->release[$task]));
    }
}
