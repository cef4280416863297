<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

use Nekto\Core\CoreException;
use Nekto\Core\Hours\WeeklyHours;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\DueDate;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\Zone;

/** Reads a problem in the format nekto-problem/1 (see bench/README.md) from its text. */
final class ProblemReader
{
    private const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    /** @throws InvalidProblem if the text is no usable problem; one sentence that begins with the offending path */
    public function read(string $json): PlanningProblem
    {
        try {
            $decoded = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            throw InvalidProblem::at('problem', 'is not JSON: '.$error->getMessage());
        }
        $problem = Fields::of($decoded, 'problem');
        $problem->string('format') === 'nekto-problem/1'
            || throw InvalidProblem::at('problem.format', 'is not "nekto-problem/1"');
        $zone = self::guard('problem.zone', static fn (): Zone => new Zone($problem->string('zone')));
        $now = $problem->moment('now');
        $today = $zone->dayOf($now);
        $days = $problem->integer('horizonDays', 1, 3660);
        $limits = $problem->object('limits');

        return new PlanningProblem(
            zone: $zone,
            now: $now,
            end: $zone->at($today->plusDays($days), 0),
            step: $problem->integer('step', 1, 60),
            hours: array_map(
                static fn (WeeklyHours $hours): IntervalSet => $hours->during($zone, $today, $days),
                self::hours($problem->object('hours')),
            ),
            busy: self::busy($problem),
            tasks: array_map(self::task(...), $problem->objects('tasks')),
            anchored: array_map(static fn (Fields $block): Block => self::block($block, true), $problem->objects('anchored')),
            previous: array_map(static fn (Fields $block): Block => self::block($block, false), $problem->objects('previous')),
            dayLimit: new DayLimit($limits->integerOrNull('dayMinutes', 0, PHP_INT_MAX)),
            deepLimit: new DayLimit($limits->integerOrNull('deepMinutes', 0, PHP_INT_MAX)),
        );
    }

    /** @return array<string, WeeklyHours> */
    private static function hours(Fields $sets): array
    {
        $hours = [];
        foreach ($sets->names() as $name) {
            $set = $sets->object($name);
            $week = $exceptions = [];
            foreach ($set->names() as $key) {
                if ($key === 'exceptions') {
                    $special = $set->object($key);
                    foreach ($special->names() as $date) {
                        $exceptions[$date] = $special->clockPairs($date);
                    }
                } elseif (in_array($key, self::WEEKDAYS, true)) {
                    $week[$key] = $set->clockPairs($key);
                } else {
                    throw InvalidProblem::at($set->path, "unknown key \"{$key}\"");
                }
            }
            $hours[$name] = self::guard($set->path, static fn (): WeeklyHours => WeeklyHours::fromArrays($week, $exceptions));
        }

        return $hours;
    }

    private static function busy(Fields $problem): IntervalSet
    {
        $buffer = $problem->object('buffer');
        $before = $buffer->integer('before', 0, 10080);
        $after = $buffer->integer('after', 0, 10080);

        return IntervalSet::covering(...array_map(
            static fn (Fields $meeting): Interval => self::time($meeting)->widened($before, $after),
            $problem->objects('busy'),
        ));
    }

    private static function task(Fields $task): Task
    {
        $due = $task->momentOrNull('due');
        $hard = $task->boolean('hard');

        return new Task(
            id: $task->string('id'),
            minutes: $task->integer('minutes', 1, 1_000_000),
            importance: Importance::from($task->integer('importance', 1, 4)),
            hours: $task->string('hours'),
            due: $due === null ? null : new DueDate($due, $hard),
            notBefore: $task->momentOrNull('notBefore'),
            minChunk: $task->integer('minChunk', 1, PHP_INT_MAX),
            maxChunk: $task->integer('maxChunk', 1, PHP_INT_MAX),
            after: $task->strings('after'),
            demand: Demand::tryFrom($task->string('demand'))
                ?? throw InvalidProblem::at("{$task->path}.demand", 'must be "light" or "deep"'),
        );
    }

    private static function block(Fields $block, bool $anchored): Block
    {
        return new Block($block->string('task'), self::time($block), $anchored);
    }

    private static function time(Fields $span): Interval
    {
        return self::guard($span->path, static fn (): Interval => new Interval($span->moment('start'), $span->moment('end')));
    }

    /**
     * @template T
     *
     * @param  \Closure(): T  $read
     * @return T
     */
    private static function guard(string $path, \Closure $read): mixed
    {
        try {
            return $read();
        } catch (InvalidProblem $error) {
            throw $error;
        } catch (CoreException $error) {
            throw InvalidProblem::at($path, $error->getMessage());
        }
    }
}
