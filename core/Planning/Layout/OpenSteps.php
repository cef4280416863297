<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Layout;

/**
 * Open time of each lane as two lists: how much of it lies before each step of the clock, and when each step of it ends.
 * With them a search moves work by minutes of open time at the price of two lookups.
 */
final readonly class OpenSteps
{
    /** @var list<list<int>> by lane: open steps before each step of the clock */
    public array $before;

    /** @var list<list<int>> by lane: the moment at which so many open steps are over */
    public array $over;

    /**
     * @param  list<list<array{int, int, int}>>  $windows  by lane, on the grid
     * @param  int  $first  moment of step 0
     * @param  int  $end  the horizon
     */
    public function __construct(array $windows, public int $first, private int $end, private int $step)
    {
        $before = $over = [];
        foreach ($windows as $list) {
            $line = [0];
            $moments = [$first];
            $open = 0;
            $at = $first;
            foreach ($list as [$start, $until]) {
                for (; $at < $start; $at += $step) {
                    $line[] = $open;
                }
                for (; $at < $until; $at += $step) {
                    $line[] = ++$open;
                    $moments[] = $at + $step;
                }
            }
            for (; $at < $end; $at += $step) {
                $line[] = $open;
            }
            $before[] = $line;
            $over[] = $moments;
        }
        $this->before = $before;
        $this->over = $over;
    }

    /** Open minutes of a lane before a moment. */
    public function minutes(int $lane, int $moment): int
    {
        if ($moment <= $this->first) {
            return 0;
        }

        return $this->step * ($this->before[$lane][intdiv($moment - $this->first, $this->step)] ?? count($this->over[$lane]) - 1);
    }

    /**
     * How much of a minute of work in one lane another lane loses by it, on average.
     *
     * @param  list<list<array{int, int, int}>>  $windows  by lane
     * @return list<list<float>>
     */
    public function inCommon(array $windows): array
    {
        $shares = [];
        foreach ($windows as $a => $list) {
            $row = [];
            foreach (array_keys($windows) as $b) {
                $common = 0;
                foreach ($list as [$start, $until]) {
                    $common += $this->minutes($b, $until) - $this->minutes($b, $start);
                }
                $row[] = $a === $b ? 1.0 : $common / max(1, $this->minutes($a, $this->end));
            }
            $shares[] = $row;
        }

        return $shares;
    }
}
