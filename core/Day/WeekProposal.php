<?php

declare(strict_types=1);

namespace Nekto\Core\Day;

use Nekto\Core\Time\Grid;

/**
 * Work spread over the days of a week: what is picked first, then what is due, then by pull; each on the day it lies on already if there is
 * room, else on the first with room, under load lines and deep limits. What is due in the week has a day in any case; of
 * what is not, as much as a pick stands for, and what does not fit waits. What the person chose stands where she chose it.
 */
final class WeekProposal
{
    /** Of a long task that is not due in the week so many minutes are thought of for it. */
    public const SHARE = 120;

    /** A smaller part of a task is no use on a day; of what has time beyond the week a larger one. */
    private const LEAST = 30;

    private const LEAST_EARLY = 60;

    /** @var array<array<int, int>> minutes by day, by the task's id; none for what waits */
    public readonly array $parts;

    /** @var array<array<int, int>> minutes left under the lines by set of hours and day; negative where a day is over */
    public readonly array $room;

    /** @var array<int, int> deep minutes left by day */
    public readonly array $deepRoom;

    /**
     * @param  list<WeekCandidate>  $candidates
     * @param  array<array<int, int>>  $lines  minutes that may be taken, by set of hours and day; days without open time have 0
     * @param  array<int, int>  $deep  deep minutes that may be taken, by day; its keys are the days
     * @param  int|null  $end  the last day of the week, also if it has no open time; null: the last of the days
     * @param  array<int|null>  $chosen  day by task, null to wait; what is not in it is proposed
     */
    public function __construct(array $candidates, array $lines, array $deep, array $chosen = [], ?int $end = null)
    {
        usort($candidates, static fn (WeekCandidate $a, WeekCandidate $b): int => [! array_key_exists($a->id, $chosen), ! $a->picked, $a->due ?? PHP_INT_MAX, -$a->pull, $a->id] <=> [! array_key_exists($b->id, $chosen), ! $b->picked, $b->due ?? PHP_INT_MAX, -$b->pull, $b->id]);
        $parts = [];
        $days = array_keys($deep);
        $end ??= $days[count($days) - 1] ?? 0;
        $hours = array_map(static fn (array $line): array => array_keys(array_filter($line, static fn (int $minutes): bool => $minutes > 0)), $lines);
        foreach ($candidates as $one) {
            $isChosen = array_key_exists($one->id, $chosen);
            $own = $isChosen && $chosen[$one->id] === null ? [] : self::spread($one, $isChosen ? $chosen[$one->id] : null, $end, ($hours[$one->hours] ?? []) ?: $days, $lines[$one->hours] ?? [], $deep);
            foreach ($own as $day => $minutes) {
                $lines[$one->hours][$day] = ($lines[$one->hours][$day] ?? 0) - $minutes;
                $one->deep && $deep[$day] -= $minutes;
            }
            $parts[$one->id] = $own;
        }
        $this->parts = $parts;
        $this->room = $lines;
        $this->deepRoom = $deep;
    }

    /**
     * @param  int|null  $chosen  where it begins in any case
     * @param  list<int>  $days  on which its hours have open time
     * @param  array<int, int>  $line
     * @param  array<int, int>  $deep
     * @return array<int, int>
     */
    private static function spread(WeekCandidate $one, ?int $chosen, int $end, array $days, array $line, array $deep): array
    {
        $last = $days[count($days) - 1];
        $isDue = $one->due !== null && $one->due <= $end;
        $left = $isDue ? $one->minutes : min($one->minutes, self::SHARE);
        $until = $isDue ? max($one->due, $days[0]) : $last;
        $able = array_values(array_filter($days, static fn (int $day): bool => $day <= $until && $day >= ($one->from ?? 0)));
        $room = static fn (int $day): int => max(0, min($line[$day] ?? 0, $one->deep ? $deep[$day] : PHP_INT_MAX));
        $parts = [];
        if ($chosen !== null) {
            $parts[$chosen] = min($left, max($room($chosen), min($left, self::SHARE)));
            $left -= $parts[$chosen];
            $able = array_values(array_filter($able, static fn (int $day): bool => $day > $chosen));
        } elseif ($one->planned !== null && in_array($one->planned, $able, true)) {
            $able = [...array_filter($able, static fn (int $day): bool => $day >= $one->planned), ...array_filter($able, static fn (int $day): bool => $day < $one->planned)];
        }
        if (! $isDue) { // where it lies, else in one piece, if a day has room for it
            $rank = static fn (int $day): int => $day === $one->planned ? 0 : ($room($day) >= $left ? 1 : 2);
            usort($able, static fn (int $a, int $b): int => [$rank($a), $a] <=> [$rank($b), $b]);
        }
        foreach ($able as $day) {
            $take = $left <= $room($day) ? $left : Grid::down($room($day));
            if ($take > 0 && $take >= min($left, $isDue ? self::LEAST : self::LEAST_EARLY)) {
                $parts[$day] = ($parts[$day] ?? 0) + $take;
                $left -= $take;
            }
            if ($left === 0 || (! $isDue && $parts !== [])) {
                break;
            }
        }
        if ($isDue && $left > 0) { // it must be done, though the day is over by it
            $day = $able === [] ? $chosen ?? min($until, $last) : max($able);
            $parts[$day] = ($parts[$day] ?? 0) + $left;
        }
        ksort($parts);

        return $parts;
    }
}
