<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Search;

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
        if ($of->barred[$task] || $length < $of->least[$task] || $length > $of->most[$task] || ($rest !== 0 && $rest < $of->least[$task])) {
            return false;
        }
        foreach ([...$of->apart[$task], ...$table->keptOf($task)] as [$otherStart, $otherEnd]) {
            if ($start <= $otherEnd && $otherStart <= $end) {
                return false;
            }
        }

        return $table->accepts($task, $start, $end);
    }
}
