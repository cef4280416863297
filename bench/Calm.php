<?php

declare(strict_types=1);

namespace Bench;

/**
 * How calm a mend is: what moved, what is newly late, which scraps it made. Like Checker it reads the formats by itself
 * and shares no code with the planner.
 */
final readonly class Calm
{
    /** Minutes: a new piece shorter than this, and than the rest of its task, is a scrap. */
    private const SCRAP = 30;

    private const WEIGHT = [1 => 1, 2 => 2, 3 => 4, 4 => 8];

    /**
     * @param  list<string>  $moved  tasks that are no longer planned in a future minute in which they were
     * @param  int  $minutes  such minutes, of all tasks
     * @param  int  $late  minutes by which lateness grew, by weight
     * @param  int  $scraps  new pieces that are too short
     */
    private function __construct(public array $moved, public int $minutes, public int $late, public int $scraps) {}

    /**
     * @param  array<string, mixed>  $problem  decoded, with the plan before
     * @param  array<string, mixed>  $plan  decoded, valid
     * @param  list<string>  $own  tasks whose own minutes changed: they do not count as moved
     */
    public static function of(array $problem, array $plan, array $own): self
    {
        $days = new Days($problem);
        [$now, $first, $end] = [$days->now, $days->first, $days->end];
        [$fixed, $before, $after] = [self::times($problem['anchored']), self::times($problem['previous']), self::times($plan['blocks'])];
        $moved = [];
        $minutes = $late = $scraps = 0;
        foreach ($problem['tasks'] as $task) {
            $id = $task['id'];
            $anchored = self::joined($fixed[$id] ?? []);
            $mine = self::joined($after[$id] ?? []);
            $ahead = array_filter(self::joined($before[$id] ?? []), static fn (array $time): bool => $time[1] > $first);
            $old = self::without(array_map(static fn (array $time): array => [max($time[0], $first), $time[1]], array_values($ahead)), $anchored);
            $gone = self::sum(self::without($old, $mine));
            $minutes += $gone;
            if ($gone > 0 && ! in_array($id, $own, true)) {
                $moved[] = $id;
            }
            $late += self::newlyLate($task, [...$before[$id] ?? [], ...$anchored], $mine, $now, $end);
            $room = $task['minutes'] - self::sum($anchored);
            foreach (self::without($mine, $anchored) as $piece) {
                $scraps += min(self::SCRAP, $room) > $piece[1] - $piece[0] && ! in_array($piece, $old, true) ? 1 : 0;
            }
        }

        return new self($moved, $minutes, $late, $scraps);
    }

    /**
     * @param  array<string, mixed>  $task
     * @param  list<array{int, int}>  $before
     * @param  list<array{int, int}>  $mine
     */
    private static function newlyLate(array $task, array $before, array $mine, int $now, int $end): int
    {
        $missing = $task['minutes'] - self::sum($mine);
        $finish = $missing > 0 ? $end + $missing : max(array_column($mine, 1));
        $was = $before === [] ? null : max(array_column($before, 1));
        $due = $task['due'] === null ? ($missing > 0 ? $was ?? $now : null) : Days::minute($task['due']);
        if ($due === null) {
            return 0;
        }
        $more = max(0, $finish - $due) - ($was === null ? 0 : max(0, $was - $due));

        return self::WEIGHT[$task['importance']] * ($task['hard'] ? 10 : 1) * max(0, $more);
    }

    /**
     * @param  list<array<string, string>>  $blocks
     * @return array<string, list<array{int, int}>>
     */
    private static function times(array $blocks): array
    {
        $times = [];
        foreach ($blocks as $block) {
            $times[$block['task']][] = [Days::minute($block['start']), Days::minute($block['end'])];
        }

        return $times;
    }

    /**
     * @param  list<array{int, int}>  $times
     * @return list<array{int, int}> those that touch are one
     */
    private static function joined(array $times): array
    {
        sort($times);
        $joined = [];
        foreach ($times as [$start, $end]) {
            $last = count($joined) - 1;
            if ($last >= 0 && $start <= $joined[$last][1]) {
                $joined[$last][1] = max($joined[$last][1], $end);
            } else {
                $joined[] = [$start, $end];
            }
        }

        return $joined;
    }

    /**
     * @param  list<array{int, int}>  $times
     * @param  list<array{int, int}>  $holes
     * @return list<array{int, int}>
     */
    private static function without(array $times, array $holes): array
    {
        foreach ($holes as [$from, $until]) {
            $rest = [];
            foreach ($times as [$start, $end]) {
                $start < min($end, $from) && $rest[] = [$start, min($end, $from)];
                max($start, $until) < $end && $rest[] = [max($start, $until), $end];
            }
            $times = $rest;
        }

        return $times;
    }

    /** @param  list<array{int, int}>  $times */
    private static function sum(array $times): int
    {
        return array_sum(array_map(static fn (array $time): int => $time[1] - $time[0], $times));
    }
}
