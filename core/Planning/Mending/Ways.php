<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Mending;

use Nekto\Core\Plan\Plan;
use Nekto\Core\Planning\Layout\Compiled;

/** What can be done with a task that lost its place: each way is a draft of its own. */
final readonly class Ways
{
    /** Gaps that are long enough, of which the first are tried. */
    private const GAPS = 2;

    /** Places that are tried where a block is taken out of the way. */
    private const PLACES = 3;

    /**
     * @param  array<int, true>  $hit  tasks that move anyway: to move them further costs nobody anything
     * @param  array<int, true>  $fixed  tasks that nothing may push
     */
    public function __construct(private Compiled $of, private Former $former, private Places $places, private array $hit, private array $fixed = []) {}

    /** What fares worse in any case: what is loose, had it all open time of its hours to itself, whatever its pieces. */
    public function least(Draft $broken): int
    {
        $least = 0;
        $open = $this->of->lanes->open;
        foreach (array_keys($broken->loose) as $task) {
            $lane = $this->of->lane[$task];
            $step = intdiv($open->minutes($lane, $this->of->release[$task]) + $this->of->minutes[$task], $this->of->problem->step);
            $least += $this->former->worse($task, $open->over[$lane][$step] ?? $this->of->problem->end);
        }

        return $least;
    }

    /** @return iterable<Draft> with a task's loose minutes in free time: in time first, then as early as can be */
    public function free(Draft $draft, int $task): iterable
    {
        $from = $this->from($draft, $task);
        if ($from === null) {
            yield $this->givenUp($draft, $task);

            return;
        }
        [$minutes, $first, $until] = $this->wanted($draft, $task, $from);
        yield from $this->intoGaps($draft, $task, $minutes, $first, min($until, $this->before($draft, $task)));
        if ($this->of->successors[$task] !== []) {
            yield from $this->intoGaps($draft, $task, $minutes, $first, $until);
        }
        $back = $this->back($draft, $task, $from);
        if ($back !== null) {
            yield $back;
        }
        yield $this->late($draft, $task, $from);
    }

    /** @return iterable<Draft> with a block of another task, or a part of it, taken out of the way */
    public function ontoOthers(Draft $draft, int $task, int $pushes): iterable
    {
        $from = $this->from($draft, $task);
        if ($from === null) {
            return;
        }
        [$minutes, $from, $until] = $this->wanted($draft, $task, $from);
        if ($this->former->missing($task, $draft->blocks[$task] ?? []) === 0) {
            $late = $this->late($draft, $task, $from);
            $until = isset($late->lost[$task]) ? $this->of->problem->end : max($until, $late->end($task));
        }
        foreach ($this->candidates($draft, $task, $from, $until, $pushes) as [$other, $start, $end]) {
            $open = clone $draft;
            $this->push($open, $other, $start, $end);
            foreach ($this->around($open, $task, $minutes, $from, $until, $start, $end) as [$at, $to]) {
                $way = $this->laid($open, $task, $at, $to);
                if ($way !== null) {
                    $way->foresee($other, max(0, min($end, $to) - max($start, $at)));
                    yield from $this->withRest($way, $other, $start, $end);
                }
            }
        }
    }

    /**
     * With all that lies in a stretch of time taken out of the way, where one block at a time is not enough: the stretches
     * whose tasks can best wait first.
     *
     * @return iterable<Draft>
     */
    public function ontoGroups(Draft $draft, int $task): iterable
    {
        $from = $this->from($draft, $task);
        if ($from === null) {
            return;
        }
        [$minutes, $from, $until] = $this->wanted($draft, $task, $from);
        $blocks = $waits = [];
        foreach ($this->candidates($draft, $task, $from, $until, PHP_INT_MAX) as $block) {
            $blocks[$block[1]] = $block;
            $waits[$block[1]] = $this->former->worse($block[0], $this->soonest($draft, $block[0], $block[2] - $block[1]));
        }
        foreach (Groups::among($blocks, $waits, $minutes) as $group) {
            $open = clone $draft;
            foreach ($group as [$other, $start, $end]) {
                $this->push($open, $other, $start, $end);
            }
            yield $open;
        }
    }

    /** When some minutes of a task could end in free time, by the length of the gaps alone. */
    private function soonest(Draft $draft, int $task, int $minutes): int
    {
        foreach ($this->places->gaps($draft, $task, $this->of->release[$task], $this->of->problem->end) as [$start, , $most]) {
            if ($most >= $minutes) {
                return $start + $minutes;
            }
        }

        return $this->of->problem->end + $minutes;
    }

    /** With every pushed task back where the former plan had it that can be there again. */
    public function withoutNeedless(Draft $draft): Draft
    {
        foreach (array_keys($draft->pushed) as $task) {
            if ($this->of->successors[$task] !== [] || $this->of->predecessors[$task] !== [] || isset($draft->loose[$task]) || isset($draft->lost[$task])) {
                continue;
            }
            $way = clone $draft;
            $minutes = 0;
            foreach ($draft->blocks[$task] ?? [] as [$start, $end]) {
                $way->take($task, $start, $end);
                $minutes += $end - $start;
            }
            $back = $this->former->minutes($task) === $minutes;
            foreach ($this->of->previousBlocks[$task] ?? [] as [$start, $end]) {
                $back = $back && $way->room->accepts($task, $start, $end);
                $back && $way->keep($task, $start, $end);
            }
            if ($back) {
                $way->uncount($task);
                unset($way->pushed[$task]);
                $draft = $way;
            }
        }

        return $draft;
    }

    /** With every new block at the beginning of the free time it lies in, where that moves no more minutes. */
    public function drawnForward(Draft $draft): Draft
    {
        foreach ($draft->blocks as $task => $blocks) {
            $from = isset($draft->loose[$task]) || isset($draft->lost[$task]) || isset($this->fixed[$task]) ? null : $this->from($draft, $task);
            if ($from === null) {
                continue;
            }
            foreach ($blocks as [$start, $end]) {
                if (in_array([$start, $end], $this->of->previousBlocks[$task] ?? [], true)) {
                    continue;
                }
                $open = clone $draft;
                $this->loosen($open, $task, $start, $end);
                foreach ($this->places->gaps($open, $task, $from, $end) as [$at, $until, $most]) {
                    $way = $at < $start && $until === $end && $most >= $end - $start && $this->places->fits($open, $task, $at, $at + $end - $start) ? $this->laid($open, $task, $at, $at + $end - $start) : null;
                    $draft = $way?->isBetterThan($draft) === true ? $way : $draft;
                }
            }
        }

        return $draft;
    }

    /** Another plan, measured by the same measure. */
    public function measured(Plan $plan): Draft
    {
        $draft = new Draft($this->of);
        foreach ($plan->blocks as $block) {
            $block->anchored || $draft->keep($this->of->index[$block->task], $block->time->start, $block->time->end);
        }
        foreach ($plan->unplaced as $one) {
            $draft->lost[$this->of->index[$one->task]] = $one->minutes;
        }
        foreach (array_keys($this->of->ids) as $task) {
            $blocks = $draft->blocks[$task] ?? [];
            $draft->count($task, $this->former->broken($task, $blocks)
                + (isset($draft->lost[$task]) ? $this->former->without($task, $draft->lost[$task]) : $this->former->worse($task, $draft->end($task))));
            isset($this->hit[$task]) || $this->of->moved($task, [...$blocks, ...$this->of->apart[$task]]) === 0 || $draft->pushed[$task] = true;
        }

        return $draft;
    }

    /** The draft with a task that fares worse taken up again, as far as it is late (a pick that is not on its day: all of it), and nothing settled. */
    public function opened(Draft $draft, int $task): Draft
    {
        $open = clone $draft;
        $open->settled = [];
        $isBroken = $this->former->broken($task, $draft->blocks[$task] ?? []) > 0;
        foreach ($draft->blocks[$task] ?? [] as [$start, $end]) {
            if ($end > $this->former->until[$task] || $isBroken) {
                $this->loosen($open, $task, $start, $end);
            }
        }
        $this->forget($open, $task);

        return $open;
    }

    /** With what is loose of a task left without a place, and what comes after it too. */
    public function givenUp(Draft $draft, int $task): Draft
    {
        $way = clone $draft;
        $way->lost[$task] = $way->loose[$task];
        unset($way->loose[$task]);
        $way->settled[$task] = true;
        $way->count($task, $this->of->barred[$task] ? 0 : $this->former->without($task, $way->lost[$task]) + $this->former->broken($task, $way->blocks[$task] ?? []));
        foreach ($this->of->successors[$task] as $next) {
            foreach ($way->blocks[$next] ?? [] as [$start, $end]) {
                $this->push($way, $next, $start, $end);
            }
        }

        return $way;
    }

    /** With as much as fits of what has not all of its time. */
    public function withWhatFits(Draft $draft): Draft
    {
        foreach ($draft->lost as $task => $minutes) {
            $from = isset($this->fixed[$task]) ? null : $this->from($draft, $task);
            if ($from !== null) {
                $draft->lost[$task] = $this->places->spread($draft, $task, $minutes, $this->places->gaps($draft, $task, $from, $this->of->problem->end));
            }
        }

        return $draft;
    }

    /** The first moment at which a task may begin; null if something that comes before it has no place. */
    private function from(Draft $draft, int $task): ?int
    {
        if ($this->of->barred[$task] || $this->of->odd[$task] > 0) {
            return null;
        }
        $from = $this->of->release[$task];
        foreach ($this->of->predecessors[$task] as $before) {
            if (isset($draft->lost[$before]) || $this->of->odd[$before] > 0) {
                return null;
            }
            $from = max($from, $draft->end($before));
        }

        return $this->of->problem->aligned($from);
    }

    /**
     * How many minutes of a task are looked for, from when, and by when: first what is wanted on the day it was picked
     * for.
     *
     * @return array{int, int, int}
     */
    private function wanted(Draft $draft, int $task, int $from): array
    {
        $loose = $draft->loose[$task];
        $missing = min($loose, $this->former->missing($task, $draft->blocks[$task] ?? []));
        $day = $this->former->day[$task];
        if ($missing === 0 || $day === null) {
            return [$loose, $from, $this->former->until[$task]];
        }
        $rest = $loose - $missing;

        return [$rest > 0 && ($rest < $this->places->piece[$task] || $missing < $this->places->piece[$task]) ? $loose : $missing, max($from, $day[0]), $day[1]];
    }

    /** When what comes after a task begins, as it lies. */
    private function before(Draft $draft, int $task): int
    {
        $before = PHP_INT_MAX;
        foreach ($this->of->successors[$task] as $next) {
            $before = min($before, $draft->blocks[$next][0][0] ?? PHP_INT_MAX);
        }

        return $before;
    }

    /** @return iterable<Draft> */
    private function intoGaps(Draft $draft, int $task, int $minutes, int $from, int $until): iterable
    {
        $gaps = $this->places->gaps($draft, $task, $from, $until);
        $isFound = false;
        $best = $this->of->rather[$task] < 0 ? [] : $this->places->whole($draft, $task, $minutes, $this->places->gaps($draft, $task, $from, $until, best: true), 1);
        foreach ([...$best, ...$this->places->whole($draft, $task, $minutes, $gaps, self::GAPS)] as [$start, $end]) {
            $way = $this->laid($draft, $task, $start, $end);
            if ($way !== null) {
                $isFound = true;
                yield $way;
            }
        }
        if ($isFound) {
            return;
        }
        $largest = $gaps;
        usort($largest, static fn (array $a, array $b): int => $b[2] <=> $a[2]);
        foreach ([$gaps, $largest] as $order) {
            $way = clone $draft;
            if ($this->places->spread($way, $task, $minutes, $order) === 0 && $this->isSettled($way, $task, $minutes)) {
                yield $way;
            }
        }
        yield from $this->withOwn($draft, $task, $minutes, $from, $until);
    }

    /**
     * With a block of its own that it gives up, what is loose may be long enough for a piece.
     *
     * @return iterable<Draft>
     */
    private function withOwn(Draft $draft, int $task, int $minutes, int $from, int $until): iterable
    {
        foreach ($draft->blocks[$task] ?? [] as [$start, $end]) {
            if ($start < $this->of->problem->frozenUntil) {
                continue;
            }
            $way = clone $draft;
            $this->loosen($way, $task, $start, $end);
            $all = $minutes + $end - $start;
            foreach ($this->places->whole($way, $task, $all, $this->places->gaps($way, $task, $from, $until), 1) as [$at, $to]) {
                $next = $this->laid($way, $task, $at, $to);
                if ($next !== null) {
                    yield $next;
                }
            }
        }
    }

    /** A pick whose day has no room stays where the former plan had it, if it can. */
    private function back(Draft $draft, int $task, int $from): ?Draft
    {
        if ($this->former->day[$task] === null) {
            return null;
        }
        $way = clone $draft;
        $minutes = 0;
        foreach ($this->of->previousBlocks[$task] ?? [] as [$start, $end]) {
            if (in_array([$start, $end], $draft->blocks[$task] ?? [], true)) {
                continue;
            }
            if ($start < $from || ! $way->room->accepts($task, $start, $end)) {
                return null;
            }
            $way->keep($task, $start, $end);
            $minutes += $end - $start;
        }

        return $minutes === $draft->loose[$task] && $this->isSettled($way, $task, $minutes) ? $way : null;
    }

    /** Into free time as early as can be, be it late; what finds no place at all is given up. */
    private function late(Draft $draft, int $task, int $from): Draft
    {
        $minutes = $draft->loose[$task];
        $gaps = $this->places->gaps($draft, $task, $from, $this->of->problem->end);
        $best = null;
        foreach ($this->places->whole($draft, $task, $minutes, $gaps, 1) as [$start, $end]) {
            $best ??= $this->laid($draft, $task, $start, $end);
        }
        $way = clone $draft;
        if ($this->places->spread($way, $task, $minutes, $gaps) === 0 && $this->isSettled($way, $task, $minutes) && ($best === null || $way->worse < $best->worse)) {
            $best = $way;
        }

        return $best ?? $this->givenUp($draft, $task);
    }

    /**
     * Blocks that could make way, those first that can best go elsewhere.
     *
     * @return list<array{int, int, int}> task, start and end
     */
    private function candidates(Draft $draft, int $task, int $from, int $until, int $pushes): array
    {
        $with = $this->of->lanes->with[$this->of->lane[$task]];
        $found = [];
        foreach ($draft->blocks as $other => $blocks) {
            if ($other === $task || isset($draft->settled[$other]) || isset($this->fixed[$other]) || ! isset($with[$this->of->lane[$other]])) {
                continue;
            }
            $costs = ! isset($this->hit[$other]) && ! isset($draft->pushed[$other]);
            if ($costs && $pushes <= 0) {
                continue;
            }
            $slack = $this->former->until[$other] - $draft->end($other);
            foreach ($blocks as [$start, $end]) {
                if ($end > $from && $start < $until && $start >= $this->of->problem->frozenUntil) {
                    $found[] = [$costs, -$slack, $start, $other, $end];
                }
            }
        }
        sort($found);

        return array_map(static fn (array $one): array => [$one[3], $one[2], $one[4]], $found);
    }

    /**
     * Places on the day of a block that was taken out of the way: in time first, then those that leave most of the block.
     *
     * @return list<array{int, int}>
     */
    private function around(Draft $open, int $task, int $minutes, int $from, int $until, int $start, int $end): array
    {
        $zone = $this->of->problem->zone;
        $day = $zone->day($zone->dayOf($start));
        $gaps = $this->places->gaps($open, $task, max($from, $day->start), min($until, $day->end));
        $places = $this->places->whole($open, $task, $minutes, $gaps, PHP_INT_MAX);
        foreach ([[$start, $start + $minutes], [$end - $minutes, $end]] as $place) {
            if ($place[0] >= $from && $place[1] <= $until && $open->room->accepts($task, ...$place) && $this->places->fits($open, $task, ...$place)) {
                $places[] = $place;
            }
        }
        $places = $places === [] ? $this->part($open, $task, $minutes, $gaps) : $places;
        $overlap = static fn (int $from, int $to): int => max(0, min($end, $to) - max($start, $from));
        usort($places, fn (array $a, array $b): int => [$this->former->worse($task, $a[1]), $overlap($a[0], $a[1]), $a[0]] <=> [$this->former->worse($task, $b[1]), $overlap($b[0], $b[1]), $b[0]]);

        return array_slice(array_values(array_unique($places, SORT_REGULAR)), 0, self::PLACES);
    }

    /**
     * @param  list<array{int, int, int}>  $gaps
     * @return list<array{int, int}> the longest piece of a task that fits into any
     */
    private function part(Draft $draft, int $task, int $minutes, array $gaps): array
    {
        $best = [];
        $longest = 0;
        foreach ($gaps as [$start, , $most]) {
            $length = $this->places->piece($draft, $task, $minutes, $start, min($most, $minutes));
            if ($length > $longest) {
                $longest = $length;
                $best = [[$start, $start + $length]];
            }
        }

        return $best;
    }

    /**
     * What was taken out of the way keeps what is left of its block, if that is a piece; or looks for a place as a whole.
     *
     * @return iterable<Draft>
     */
    private function withRest(Draft $draft, int $other, int $start, int $end): iterable
    {
        $rest = clone $draft;
        $kept = 0;
        foreach ($this->places->gaps($draft, $other, max($start, $this->from($draft, $other) ?? $end), $end) as [$from, $until, $most]) {
            if ($most >= $until - $from && $this->places->fits($rest, $other, $from, $until)) {
                $rest->lay($other, $from, $until);
                $kept += $until - $from;
            }
        }
        if ($kept > 0 && $kept < $draft->loose[$other]) {
            $rest->loose[$other] -= $kept;
            yield $rest;
        }
        yield $draft;
    }

    private function laid(Draft $draft, int $task, int $start, int $end): ?Draft
    {
        $way = clone $draft;
        $way->lay($task, $start, $end);

        return $this->isSettled($way, $task, $end - $start) ? $way : null;
    }

    /**
     * So many more minutes of a task have a place. Once all have, what comes after it and begins too early loses its own.
     *
     * @return bool false if it cannot: that has got its place already
     */
    private function isSettled(Draft $draft, int $task, int $minutes): bool
    {
        if ($draft->loose[$task] > $minutes) {
            $draft->loose[$task] -= $minutes;

            return true;
        }
        unset($draft->loose[$task]);
        $draft->settled[$task] = true;
        $end = $draft->end($task);
        $draft->count($task, $this->former->worse($task, $end) + $this->former->broken($task, $draft->blocks[$task] ?? []));
        foreach ($this->of->successors[$task] as $next) {
            foreach ($draft->blocks[$next] ?? [] as [$start, $until]) {
                if ($start >= $end) {
                    continue;
                }
                if (isset($draft->settled[$next]) || isset($this->fixed[$next])) {
                    return false;
                }
                $this->push($draft, $next, $start, $until);
            }
        }

        return true;
    }

    /** Takes minutes away from a task that was not hit. */
    private function push(Draft $draft, int $task, int $start, int $end): void
    {
        $this->loosen($draft, $task, $start, $end);
        isset($this->hit[$task]) || $draft->pushed[$task] = true;
    }

    /** Takes minutes of a task away that will look for another place. */
    private function loosen(Draft $draft, int $task, int $start, int $end): void
    {
        $draft->take($task, $start, $end);
        $draft->loose[$task] = ($draft->loose[$task] ?? 0) + $end - $start;
        $this->forget($draft, $task);
    }

    /** What a task fared does not count any more, and what found no place looks for one again. */
    private function forget(Draft $draft, int $task): void
    {
        $draft->uncount($task);
        if (isset($draft->lost[$task])) {
            $draft->loose[$task] = ($draft->loose[$task] ?? 0) + $draft->lost[$task];
        }
        unset($draft->lost[$task]);
    }
}
