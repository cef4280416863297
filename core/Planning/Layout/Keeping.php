<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Layout;

/** Whether a block of the last plan may stay where it is. */
final class Keeping
{
    /**
     * True if it is still free, long enough, with what touches it not too long, and no more than the task needs.
     *
     * @param  list<array{int, int}>  $own  what lies already of the task, beside anchored blocks
     * @param  int  $rest  minutes of the task that are left beside it and those
     */
    public static function allows(Compiled $of, Room $room, array $own, int $task, int $start, int $end, int $rest): bool
    {
        return ! $of->barred[$task] && $end - $start >= $of->least[$task] && $rest >= 0
            && self::run([...$of->apart[$task], ...$own], $start, $end) <= $of->most[$task] && $room->accepts($task, $start, $end);
    }

    /** The same, with a rest that can be laid in blocks of its own. */
    public static function leavesWhole(Compiled $of, Timetable $table, int $task, int $start, int $end): bool
    {
        $rest = $of->minutes[$task] - $table->keptMinutes($task) - ($end - $start);

        return ($rest === 0 || $rest >= $of->least[$task]) && self::allows($of, $table->room, $table->keptOf($task), $task, $start, $end, $rest);
    }

    /**
     * Minutes of a block together with what touches it.
     *
     * @param  list<array{int, int}>  $others  of the same task, none over another
     */
    public static function run(array $others, int $start, int $end): int
    {
        count($others) > 1 && sort($others);
        foreach ($others as [$from, $until]) {
            $end = $from === $end ? $until : $end;
        }
        for ($i = count($others) - 1; $i >= 0; $i--) {
            $start = $others[$i][1] === $start ? $others[$i][0] : $start;
        }

        return $end - $start;
    }
}
