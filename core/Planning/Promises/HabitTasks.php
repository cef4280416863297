<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Promises;

use Nekto\Core\Plan\Habit;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Task\DueDate;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\LocalDay;

/**
 * Habits as tasks, one for each time they are still to be done in each week of the horizon. Their ids, such as
 * "stretch#2026-03-09#2" for the second time in the week of that day, stay the same from plan to plan.
 */
final readonly class HabitTasks
{
    /** The problem with these tasks among its own. */
    public PlanningProblem $problem;

    /** @var array<string, HabitTime> by task id */
    public array $times;

    public function __construct(PlanningProblem $problem)
    {
        $tasks = $times = [];
        $today = $problem->zone->dayOf($problem->first)->number;
        $last = $problem->zone->dayOf($problem->end - 1)->number;
        foreach ($problem->habits as $habit) {
            for ($first = (new LocalDay($today))->backTo($habit->weekStarts)->number; $first <= $last; $first += 7) {
                $days = self::openDays($problem, $habit, max($first, $today, $habit->from ?? $first), min($first + 6, $last, $habit->until ?? $last));
                foreach (self::inWeek($habit, $first, $days) as $id => $time) {
                    $times[$id] = $time;
                    $tasks[] = self::task($problem, $habit, (string) $id, $time); // a number, as a key, is no text any more
                }
            }
        }
        $this->times = $times;
        $this->problem = $tasks === [] ? $problem : $problem->with(tasks: [...$problem->tasks, ...$tasks], habits: []);
    }

    /** @return list<int> days on which its hours have any time */
    private static function openDays(PlanningProblem $problem, Habit $habit, int $first, int $last): array
    {
        return $first > $last ? [] : array_values(array_filter(range($first, $last), static function (int $number) use ($problem, $habit): bool {
            $day = $problem->zone->day(new LocalDay($number));

            return ! $problem->hours[$habit->hours]->between($day->start, $day->end)->isEmpty();
        }));
    }

    /**
     * @param  list<int>  $days
     * @return array<string, HabitTime> by task id
     */
    private static function inWeek(Habit $habit, int $first, array $days): array
    {
        $done = array_filter($habit->done, static fn (int $day): bool => $day >= $first && $day < $first + 7);
        $days = array_values(array_diff($days, $done)); // once a day is enough
        $named = $habit->named === null ? null : $habit->named[$first] ?? [];
        $left = $days === [] ? 0 : min($named === null ? $habit->times - count($done) : count($named), count($days));
        $week = (new LocalDay($first))->asString();
        $times = [];
        for ($i = 0; $i < $left; $i++) {
            $times[$named[$i] ?? "{$habit->id}#{$week}#".(count($done) + $i + 1)] = new HabitTime($habit->id, $days, $i, $left);
        }

        return $times;
    }

    private static function task(PlanningProblem $problem, Habit $habit, string $id, HabitTime $time): Task
    {
        return new Task(
            id: $id,
            minutes: $habit->minutes,
            importance: Importance::Medium,
            hours: $habit->hours,
            due: new DueDate($problem->zone->at(new LocalDay(max($time->days) + 1), 0)),
            notBefore: $problem->zone->at(new LocalDay(min($time->days)), 0),
            minChunk: $habit->minutes,
            maxChunk: $habit->minutes,
            part: $habit->part,
        );
    }
}
