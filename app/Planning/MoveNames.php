<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Occurrence;
use App\Models\RevisionCause;
use App\Rows\RoutineTime;
use App\Rows\RowMapper;
use App\Time\Moments;
use Nekto\Core\Plan\Move;
use Nekto\Core\Plan\MoveCause;
use Nekto\Core\Time\Interval;

/** Gives moves the names that a change note says, as they were when the change was made. */
final readonly class MoveNames
{
    /**
     * @param  list<Move>  $moves
     * @return list<array<string, mixed>> task, title, from, to (minutes or null), cause, by (name or null), by_from, by_to, for (name of the task whose place was taken)
     */
    public function of(array $moves, LoadedProblem $loaded, RevisionCause $cause): array
    {
        return array_map(fn (Move $move): array => [
            'task' => (int) $move->task,
            'title' => (string) $loaded->tasks[(int) $move->task]?->title,
            'from' => $move->from === null ? null : [$move->from->start, $move->from->end],
            'to' => $move->to === null ? null : [$move->to->start, $move->to->end],
            'cause' => $cause->isAutomatic() && $move->cause === MoveCause::TaskTook && ($move->facts['task'] ?? null) === $loaded->running ? 'ran_over' : $move->cause->value,
            ...$this->taker($move, $loaded),
            ...(isset($move->facts['for']) ? ['for' => $loaded->tasks[(int) $move->facts['for']]?->title] : []),
        ], $moves);
    }

    /** @return array<string, mixed> */
    private function taker(Move $move, LoadedProblem $loaded): array
    {
        if (isset($move->facts['task'])) {
            return ['by' => $loaded->tasks[(int) $move->facts['task']]?->title];
        }
        if (! isset($move->facts['start'], $move->facts['end'])) {
            return [];
        }
        $place = new Interval((int) $move->facts['start'], (int) $move->facts['end']);
        $meeting = $loaded->time->occurrences->first(static fn (Occurrence $occurrence): bool => $occurrence->blocks()
            && RowMapper::withBuffers($occurrence, $loaded->time->user)->overlaps($place));

        if ($meeting === null) {
            $routine = array_values(array_filter($loaded->time->routines, static fn (RoutineTime $one): bool => ! $one->routine->deep && $one->time->overlaps($place)))[0] ?? null;

            return $routine === null ? [] : ['by' => $routine->routine->title, 'by_from' => $routine->time->start, 'by_to' => $routine->time->end];
        }

        return [
            'by' => $meeting->shownName(),
            'by_from' => Moments::minute($meeting->starts_at),
            'by_to' => Moments::minute($meeting->ends_at),
        ];
    }
}
