<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Layout;

use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Plan\PlanningProblem;

/** The free windows of all lanes as bare numbers, with what limits their days. */
final readonly class Lanes
{
    /** @var list<list<int>> by lane: starts of its free windows */
    public array $starts;

    /** @var list<list<int>> by lane: ends of its free windows */
    public array $ends;

    /** @var list<list<int>> by lane: days of its free windows */
    public array $days;

    /** @var list<list<int>> by lane: the other lanes whose windows share time with its own */
    public array $sharing;

    /** @var list<array<int, true>> by lane: it and those that share time with it */
    public array $with;

    /** @var list<list<float>> how much of a minute of work in the first lane the second loses by it */
    public array $inCommon;

    /** @var list<int> by lane: the number of its set of hours */
    public array $set;

    public OpenSteps $open;

    public bool $dayLimited;

    public bool $deepLimited;

    public bool $setLimited;

    /** @var array<int, int> the most minutes by day */
    public array $dayLimit;

    /** @var array<int, int> the most deep minutes by day */
    public array $deepLimit;

    /** @var list<array<int, int>> the most minutes by set and day */
    public array $setLimit;

    public function __construct(PlanningProblem $problem, FreeTime $free)
    {
        $windows = $free->windows;
        $this->starts = array_map(static fn (array $lane): array => array_column($lane, 0), $windows);
        $this->ends = array_map(static fn (array $lane): array => array_column($lane, 1), $windows);
        $this->days = array_map(static fn (array $lane): array => array_column($lane, 2), $windows);
        $this->open = new OpenSteps($windows, $problem->first, $problem->end, $problem->step);
        $this->inCommon = $this->open->inCommon($windows);
        $sharing = $with = [];
        foreach (array_keys($windows) as $a) {
            $others = [];
            foreach (array_keys($windows) as $b) {
                if ($a !== $b && ($this->inCommon[$a][$b] > 0.0 || $this->inCommon[$b][$a] > 0.0)) {
                    $others[] = $b;
                }
            }
            $sharing[] = $others;
            $with[] = array_fill_keys([$a, ...$others], true);
        }
        $this->sharing = $sharing;
        $this->with = $with;
        $numbers = array_flip(array_values(array_unique($free->hours)));
        $this->set = array_map(static fn (string $name): int => $numbers[$name], $free->hours);
        $this->dayLimited = ! $problem->dayLimit->isNone();
        $this->deepLimited = ! $problem->deepLimit->isNone();
        $this->setLimited = $problem->hoursLimits !== [];
        $days = array_unique(array_merge(...$this->days));
        $this->dayLimit = self::byDay($problem->dayLimit, $days);
        $this->deepLimit = self::byDay($problem->deepLimit, $days);
        $setLimit = [];
        foreach (array_keys($numbers) as $name) {
            $setLimit[] = self::byDay($problem->hoursLimits[$name] ?? new DayLimit, $days);
        }
        $this->setLimit = $setLimit;
    }

    /** The number of the day on which a moment lies that is open in a lane. */
    public function dayOf(int $lane, int $moment): int
    {
        $ends = $this->ends[$lane];
        $low = 0;
        $high = count($ends) - 1;
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            $ends[$middle] <= $moment ? $low = $middle + 1 : $high = $middle;
        }

        return $this->days[$lane][$low];
    }

    /**
     * @param  array<int>  $days
     * @return array<int, int>
     */
    private static function byDay(DayLimit $limit, array $days): array
    {
        $byDay = [];
        foreach ($days as $day) {
            $byDay[$day] = $limit->on($day);
        }

        return $byDay;
    }
}
