<?php

declare(strict_types=1);

namespace Nekto\Core\Day;

use Nekto\Core\Time\Grid;

/** A day that fits. */
final readonly class DayProposal
{
    /** At most so many key tasks make a day. */
    public const KEYS = 3;

    /** More candidates than this are too many to weigh exactly; those with the least pull are left out. */
    public const MOST = 200;

    /**
     * @param  list<string>  $picks  those with the most pull first
     * @param  list<string>  $keys  of the picks, at most three: those with the most pull times weight
     * @param  list<DayCandidate>  $waiting  what does not fit, what can wait least first
     * @param  array<int|string, int>  $minutesOf  each pick, by its id
     * @param  int  $minutes  of all picks together
     * @param  int  $deepMinutes  of the deep ones
     */
    private function __construct(
        public array $picks,
        public array $keys,
        public array $waiting,
        public array $minutesOf,
        public int $minutes,
        public int $deepMinutes,
    ) {}

    /**
     * The set of candidates with the most pull together that fits under the load line and the deep limit: a knapsack
     * with two limits, solved exactly by dynamic programming over steps of five minutes (R. Bellman, "Dynamic
     * programming", 1957). What is picked already comes first, then the pull of the others decides. Where some of that
     * has no room, long ones take the least that would do if more of it fits so, and then what is left, most pull first.
     *
     * @param  list<DayCandidate>  $candidates
     * @param  int  $loadLine  minutes that the day can carry
     * @param  int  $deepLimit  minutes of it that may be deep
     * @param  int  $keys  key tasks at most
     */
    public static function of(array $candidates, int $loadLine, int $deepLimit, int $keys = self::KEYS): self
    {
        $proposal = self::within($candidates, $loadLine, $deepLimit, $keys);
        $waits = static fn (self $one): int => count(array_filter($one->waiting, static fn (DayCandidate $candidate): bool => $candidate->picked));
        if ($waits($proposal) === 0) {
            return $proposal;
        }
        $least = array_map(static fn (DayCandidate $one): DayCandidate => $one->taking($one->least ?? $one->minutes), $candidates);
        $shorter = self::within($least, $loadLine, $deepLimit, $keys);
        if ($waits($shorter) >= $waits($proposal)) {
            return $proposal;
        }
        $free = $loadLine - $shorter->minutes;
        $freeDeep = $deepLimit - $shorter->deepMinutes;
        $wanted = array_column(array_map(static fn (DayCandidate $one): array => [$one->id, $one], $candidates), 1, 0);
        foreach ($shorter->picks as $id) {
            $more = max(0, min($wanted[$id]->minutes - $shorter->minutesOf[$id], $free, $wanted[$id]->deep ? $freeDeep : PHP_INT_MAX));
            $more -= $more % Grid::STEP;
            $free -= $more;
            $freeDeep -= $wanted[$id]->deep ? $more : 0;
            $wanted[$id] = $wanted[$id]->taking($shorter->minutesOf[$id] + $more);
        }

        return self::taken(array_map(static fn (string $id): DayCandidate => $wanted[$id], $shorter->picks), $shorter->waiting, $keys);
    }

    /** @param  list<DayCandidate>  $candidates */
    private static function within(array $candidates, int $loadLine, int $deepLimit, int $keys): self
    {
        usort($candidates, static fn (DayCandidate $a, DayCandidate $b): int => [$b->picked, $b->pull, $a->minutes, $a->id] <=> [$a->picked, $a->pull, $b->minutes, $b->id]);
        $weighed = array_slice($candidates, 0, self::MOST);
        $chosen = self::best($weighed, intdiv(max(0, $loadLine), Grid::STEP), intdiv(max(0, $deepLimit), Grid::STEP));
        $picks = $waiting = [];
        foreach ($candidates as $i => $candidate) {
            isset($chosen[$i]) ? $picks[] = $candidate : $waiting[] = $candidate;
        }

        return self::taken($picks, $waiting, $keys);
    }

    /**
     * @param  list<DayCandidate>  $picks
     * @param  list<DayCandidate>  $waiting
     */
    private static function taken(array $picks, array $waiting, int $keys): self
    {
        usort($picks, static fn (DayCandidate $a, DayCandidate $b): int => [$b->pull, $a->id] <=> [$a->pull, $b->id]);
        usort($waiting, static fn (DayCandidate $a, DayCandidate $b): int => [$a->waitsUntil ?? PHP_INT_MAX, -$a->pull, $a->id] <=> [$b->waitsUntil ?? PHP_INT_MAX, -$b->pull, $b->id]);
        $id = static fn (DayCandidate $candidate): string => $candidate->id;
        $ids = array_map($id, $picks);
        $byWorth = $picks;
        usort($byWorth, static fn (DayCandidate $a, DayCandidate $b): int => $b->pull * $b->weight <=> $a->pull * $a->weight);

        return new self(
            $ids,
            array_map($id, array_slice($byWorth, 0, $keys)),
            $waiting,
            array_column(array_map(static fn (DayCandidate $one): array => [$one->id, $one->minutes], $picks), 1, 0),
            array_sum(array_map(static fn (DayCandidate $candidate): int => $candidate->minutes, $picks)),
            array_sum(array_map(static fn (DayCandidate $candidate): int => $candidate->deep ? $candidate->minutes : 0, $picks)),
        );
    }

    /**
     * @param  list<DayCandidate>  $candidates
     * @return array<int, true> indexes of the best set
     */
    private static function best(array $candidates, int $steps, int $deepSteps): array
    {
        $deepSteps = min($deepSteps, $steps);
        $width = $steps + 1;
        $value = array_fill(0, $width * ($deepSteps + 1), 0);
        $taken = [];
        foreach ($candidates as $n => $candidate) {
            $size = intdiv($candidate->minutes + Grid::STEP - 1, Grid::STEP);
            $deep = $candidate->deep ? $size : 0;
            $worth = $candidate->pull + ($candidate->picked ? 100 * self::MOST : 0);
            $shift = $deep * $width + $size;
            $bits = str_repeat("\0", count($value));
            for ($d = $deepSteps; $d >= $deep; $d--) {
                $row = $d * $width;
                for ($s = $steps; $s >= $size; $s--) {
                    $with = $value[$row + $s - $shift] + $worth;
                    if ($with > $value[$row + $s]) {
                        $value[$row + $s] = $with;
                        $bits[$row + $s] = "\1";
                    }
                }
            }
            $taken[$n] = $bits;
        }
        $chosen = [];
        $at = count($value) - 1;
        for ($n = count($candidates) - 1; $n >= 0; $n--) {
            if ($taken[$n][$at] === "\1") {
                $chosen[$n] = true;
                $size = intdiv($candidates[$n]->minutes + Grid::STEP - 1, Grid::STEP);
                $at -= ($candidates[$n]->deep ? $size : 0) * $width + $size;
            }
        }

        return $chosen;
    }
}
