<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Layout;

/** Whether a block of the last plan may stay where it is. */
final class Keeping
{
    /**
     * True if it is still free, long enough, and no more than the task needs, with a rest that can be laid in blocks of
     * its own.
     *
     * @param  int  $rest  minutes of the task that are left beside it and what was kept before
     */
    public static function allows(Compiled $of, Timetable $table, int $task, int $start, int $end, int $rest): bool
    {
        $length = $end - $start;
        if ($of->barred[$task] || $length < $of->least[$task] || ($rest !== 0 && $rest < $of->least[$task])) {
            return false;
        }

        return self::run([...$of->apart[$task], ...$table->keptOf($task)], $start, $end) <= $of->most[$task] && $table->accepts($task, $start, $end);
    }

    /**
     * Minutes of a block together with what touches it.
     *
     * @param  list<array{int, int}>  $others
     */
    private static function run(array $others, int $start, int $end): int
    {
        sort($others);
        foreach ([...$others, ...array_reverse($others)] as [$from, $until]) {
            if ($from <= $end && $until >= $start) {
                $start = min($start, $from);
                $end = max($end, $until);
            }
        }

        return $end - $start;
    }
}
