<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Mending;

use Nekto\Core\Planning\Layout\Compiled;

/** Where minutes that lost their place could go in free time: whole pieces, at either end of a gap or next to the task's own blocks. */
final readonly class Places
{
    /** @var list<int> by task: the least minutes of a new piece */
    public array $piece;

    /** @param  int  $least  minutes: no new piece is shorter, unless it is all of its task */
    public function __construct(private Compiled $of, int $least)
    {
        $step = $of->problem->step;
        $piece = [];
        foreach ($of->minutes as $task => $minutes) {
            $piece[] = min(max($of->least[$task], min(intdiv($least + $step - 1, $step) * $step, $minutes)), max($step, $of->most[$task]));
        }
        $this->piece = $piece;
    }

    /**
     * Free time of a task's hours that its day has room for.
     *
     * @param  bool  $best  only where it would rather be
     * @return list<array{int, int, int}> start, end, and the most minutes there
     */
    public function gaps(Draft $draft, int $task, int $from, int $until, bool $best = false): array
    {
        $lane = $best ? $this->of->rather[$task] : $this->of->lane[$task];
        [$starts, $ends, $days] = [$draft->room->free->starts[$lane], $draft->room->free->ends[$lane], $draft->room->free->days[$lane]];
        $limited = $this->of->limited[$task];
        $gaps = [];
        $day = $room = -1;
        for ($i = $draft->room->free->firstFrom($lane, $from, 1), $count = count($starts); $i < $count && $starts[$i] < $until; $i++) {
            $start = $starts[$i] > $from ? $starts[$i] : $from;
            $end = $ends[$i] < $until ? $ends[$i] : $until;
            if ($end <= $start) {
                continue;
            }
            $most = $end - $start;
            if ($limited) {
                if ($days[$i] !== $day) {
                    $day = $days[$i];
                    $room = $draft->room->use->room($lane, $day, $this->of->deep[$task]);
                }
                $most = $room < $most ? $room : $most;
            }
            $most > 0 && $gaps[] = [$start, $end, $most];
        }

        return $gaps;
    }

    /**
     * Places for some minutes in one piece, by time.
     *
     * @param  list<array{int, int, int}>  $gaps
     * @param  int  $enough  gaps that are looked for
     * @return list<array{int, int}> of each gap the one at its beginning, then the one at its end
     */
    public function whole(Draft $draft, int $task, int $minutes, array $gaps, int $enough): array
    {
        $step = $this->of->problem->step;
        $places = [];
        foreach ($gaps as [$start, $end, $most]) {
            if ($most < $minutes) {
                continue;
            }
            $found = false;
            foreach ([$start, $start + $step] as $at) {
                if ($at + $minutes <= $end && $this->fits($draft, $task, $at, $at + $minutes)) {
                    $places[] = [$at, $at + $minutes];
                    $found = true;
                    break;
                }
            }
            foreach ([$end, $end - $step] as $at) {
                if ($at - $minutes > $start && $this->fits($draft, $task, $at - $minutes, $at)) {
                    $places[] = [$at - $minutes, $at];
                    $found = true;
                    break;
                }
            }
            if ($found && --$enough <= 0) {
                break;
            }
        }

        return $places;
    }

    /**
     * Lays some minutes in pieces, as much as fits into each gap.
     *
     * @param  list<array{int, int, int}>  $gaps  in the order in which they are filled
     * @return int minutes that found no place
     */
    public function spread(Draft $draft, int $task, int $minutes, array $gaps): int
    {
        $step = $this->of->problem->step;
        $lane = $this->of->lane[$task];
        foreach ($gaps as [$start, $end]) {
            $day = $this->of->lanes->dayOf($lane, $start);
            while ($minutes > 0 && $end > $start) {
                $room = $this->of->limited[$task] ? $draft->room->use->room($lane, $day, $this->of->deep[$task]) : PHP_INT_MAX;
                $most = min($minutes, $end - $start, $room);
                $take = $this->piece($draft, $task, $minutes, $start, $most);
                if ($take === 0) {
                    $start += $step;
                    $most = min($minutes, $end - $start, $room);
                    $take = $this->piece($draft, $task, $minutes, $start, $most);
                }
                if ($take === 0) {
                    break;
                }
                $draft->lay($task, $start, $start + $take);
                $minutes -= $take;
                $start += $take;
            }
        }

        return $minutes;
    }

    /** The longest piece of at most so many minutes that may begin there and leaves a rest that can be laid; 0 if there is none. */
    public function piece(Draft $draft, int $task, int $minutes, int $start, int $most): int
    {
        $step = $this->of->problem->step;
        $rest = $minutes - $most;
        $take = $rest > 0 && $rest < $this->piece[$task] ? $minutes - $this->piece[$task] : $most;
        for (; $take > 0; $take -= $step) {
            if ($this->fits($draft, $task, $start, $start + $take)) {
                return $take;
            }
            if ($take > $this->of->most[$task]) {
                $take = $this->of->most[$task] + $step;
            } elseif ($draft->joined($task, $start, $start + $take) < $this->piece[$task]) {
                return 0;
            }
        }

        return 0;
    }

    /** True if a piece may begin and end there: not too long with what it touches of its own, and no scrap. */
    public function fits(Draft $draft, int $task, int $start, int $end): bool
    {
        if ($draft->run($task, $start, $end) > $this->of->most[$task] || $draft->joined($task, $start, $end) < $this->piece[$task]) {
            return false;
        }
        foreach ($this->of->apart[$task] as [$from, $until]) {
            if ($from <= $end && $until >= $start) {
                return false;
            }
        }
        foreach ($this->of->problem->freeze > 0 ? $draft->blocks[$task] ?? [] : [] as [$from, $until]) {
            if ($until === $start && $from < $this->of->problem->frozenUntil) {
                return false; // it would not stay as it is
            }
        }

        return true;
    }
}
