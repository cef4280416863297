<?php

declare(strict_types=1);

namespace Nekto\Core\Prospect\Flow;

use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\FreeTime;

/**
 * How much of the work that is due by a moment has surely no place in time, whatever the plan: a lower bound by a maximum
 * flow. Work flows from its task into the days on which it has free stretches long enough for its least block, between its
 * earliest start and its due date; from there through the deep limit of the day and the load line of its set into the time
 * that is open, which sets of hours may share. What is overdue may take all of the time. What a flow does not know – which stretch of a day a block takes, and what
 * comes after what – can only make it more.
 */
final class Overload
{
    /** More minutes than any plan has. */
    private const UNLIMITED = 1 << 40;

    /** Minutes that have no place. */
    public readonly int $missing;

    /** @var array<string, true> ids of the tasks that compete for the time that is not enough: less of another helps nobody */
    public readonly array $competing;

    private readonly MaxFlow $flow;

    /** @var array<string, int> nodes by name */
    private array $nodes = ['source' => MaxFlow::SOURCE, 'sink' => MaxFlow::SINK];

    /** @var array<string, int> edges by the names of their nodes */
    private array $edges = [];

    /** @var array<int, array<int, int>> by lane and day: minutes that are open */
    private array $open = [];

    /** @param  Compiled  $of  tasks that wait for somebody have no place in any case, and do not count */
    public function __construct(private readonly Compiled $of, private readonly int $until)
    {
        $this->flow = new MaxFlow;
        $due = array_filter($of->due, static fn (int $due, int $task): bool => $due <= $until && ! $of->barred[$task], ARRAY_FILTER_USE_BOTH);
        $this->openTime();
        $work = 0;
        foreach (array_keys($due) as $task) {
            $work += $of->minutes[$task];
            $this->add($task);
        }
        $this->flow->run();
        $this->missing = $work - $this->flow->flow;
        $before = $this->missing > 0 ? $this->flow->before() : [];
        $this->competing = array_fill_keys(array_map(static fn (int $task): string => $of->ids[$task], array_filter(array_keys($due), fn (int $task): bool => isset($before[$this->nodes["task {$task}"]]))), true);
    }

    /** @param  int  $until  minutes since 1970-01-01T00:00Z; what is due later does not count */
    public static function of(PlanningProblem $problem, int $until): self
    {
        return new self(new Compiled($problem, new FreeTime($problem)), $until);
    }

    /** Stretches that the same sets of hours have on a day are one. */
    private function openTime(): void
    {
        $lanes = $this->of->lanes;
        $changes = [];
        foreach ($lanes->starts as $lane => $starts) {
            foreach ($starts as $i => $start) {
                if ($start < $this->until) {
                    $end = min($this->until, $lanes->ends[$lane][$i]);
                    $changes[$start][$lane] = true;
                    $changes[$end][$lane] ??= false;
                    $day = $lanes->days[$lane][$i];
                    $this->open[$lane][$day] = ($this->open[$lane][$day] ?? 0) + $end - $start;
                }
            }
        }
        ksort($changes);
        $open = [];
        $start = 0;
        foreach ($changes as $moment => $ofLanes) {
            if ($open !== []) {
                $this->share($start, $moment, $open);
            }
            $open = array_filter($ofLanes + $open);
            $start = $moment;
        }
    }

    /** @param  non-empty-array<int, bool>  $lanes  that have that time */
    private function share(int $start, int $end, array $lanes): void
    {
        $day = $this->of->lanes->dayOf(array_key_first($lanes), $start);
        $sets = array_unique(array_map(fn (int $lane): int => $this->of->lanes->set[$lane], array_keys($lanes)));
        sort($sets);
        $time = "time {$day} ".implode(',', $sets);
        foreach ($sets as $set) {
            $this->edge("load {$set} {$day}", $time, self::UNLIMITED);
        }
        $this->widen($time, "day {$day}", $end - $start);
        $this->edge("day {$day}", 'sink', $this->of->lanes->dayLimit[$day]);
    }

    private function add(int $task): void
    {
        $lane = $this->of->lane[$task];
        $deep = $this->of->deep[$task];
        $due = $this->of->due[$task] <= $this->of->problem->first ? $this->until : $this->of->due[$task];
        $this->edge('source', "task {$task}", $this->of->minutes[$task]);
        foreach ($this->of->lanes->starts[$lane] as $i => $start) {
            $start = max($start, $this->of->release[$task]);
            $end = min($this->of->lanes->ends[$lane][$i], $due);
            if ($end - $start >= $this->of->least[$task]) {
                $day = $this->of->lanes->days[$lane][$i];
                $slot = "slot {$lane} {$day} ".($deep ? 'deep' : 'light');
                $this->edge($slot, $this->into($lane, $day, $deep), $this->open[$lane][$day]);
                $this->widen("task {$task}", $slot, $end - $start);
            }
        }
    }

    /**
     * The node of the day's load line; for deep work the one of its deep limit, which comes before that. Behind it nothing
     * knows any more which set the work is of, so that only sets that have deep work lie there.
     */
    private function into(int $lane, int $day, bool $deep): string
    {
        $set = $this->of->lanes->set[$lane];
        $this->edge("line {$set} {$day}", "load {$set} {$day}", $this->of->lanes->setLimit[$set][$day]);
        if (! $deep) {
            return "line {$set} {$day}";
        }
        $this->edge("limit {$day}", "deep {$day}", $this->of->lanes->deepLimit[$day]);
        $this->edge("deep {$day}", "line {$set} {$day}", self::UNLIMITED);

        return "limit {$day}";
    }

    private function edge(string $from, string $to, int $capacity): void
    {
        $this->edges["{$from}>{$to}"] ??= $this->flow->edge($this->node($from), $this->node($to), min(self::UNLIMITED, $capacity));
    }

    private function widen(string $from, string $to, int $by): void
    {
        $this->edge($from, $to, 0);
        $this->flow->widen($this->edges["{$from}>{$to}"], $by);
    }

    private function node(string $name): int
    {
        return $this->nodes[$name] ??= $this->flow->node();
    }
}
