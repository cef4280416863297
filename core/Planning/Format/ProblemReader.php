<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Format;

use Nekto\Core\CoreException;
use Nekto\Core\Plan\Batches;
use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\Breaks;
use Nekto\Core\Plan\DayBegins;
use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Plan\Habit;
use Nekto\Core\Plan\InvalidProblem;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Plan\Tempo;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Zone;

/** Reads a problem in the formats nekto-problem/1 and /2 (see FORMAT.md beside this file) from its text. */
final class ProblemReader
{
    /** @throws InvalidProblem if the text is no usable problem; one sentence that begins with the offending path */
    public function read(string $json): PlanningProblem
    {
        try {
            $decoded = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            throw InvalidProblem::at('problem', 'is not JSON: '.$error->getMessage());
        }
        $problem = Fields::of($decoded, 'problem');
        $second = match ($problem->string('format')) {
            'nekto-problem/1' => false,
            'nekto-problem/2' => true,
            default => throw InvalidProblem::at('problem.format', 'is neither "nekto-problem/1" nor "nekto-problem/2"'),
        };
        $zone = self::guard('problem.zone', static fn (): Zone => new Zone($problem->string('zone')));
        $now = $problem->moment('now');
        $days = $problem->integer('horizonDays', 1, 3660);
        $span = new Span($zone, $zone->dayOf($now), $days);
        $hours = array_map($span->open(...), HoursReader::sets($problem->object('hours')));
        $limits = $problem->object('limits');
        $extra = $second ? $problem : Fields::of([], 'problem');
        $rhythm = new RhythmReader($extra, $span);

        return new PlanningProblem(
            zone: $zone,
            now: $now,
            end: $span->end(),
            step: $problem->integer('step', 1, 60),
            hours: $hours,
            busy: self::busy($problem, $extra)->union($rhythm->closed()),
            tasks: (new TaskReader($span, $hours, $second))->tasks($problem),
            anchored: array_map(
                static fn (Fields $block): Block => self::block($block, true),
                [...$problem->objects('anchored'), ...$extra->objectsOrNone('begun')],
            ),
            previous: array_map(static fn (Fields $block): Block => self::block($block, false), $problem->objects('previous')),
            dayLimit: self::limit($limits, 'dayMinutes', $extra),
            deepLimit: self::limit($limits, 'deepMinutes', $extra),
            hoursLimits: self::loadLines($extra),
            parts: $rhythm->parts(),
            bestHours: $extra->has('bestHours') ? $span->open(HoursReader::set($extra->object('bestHours'))) : null,
            deepOnly: $rhythm->forDeepWork(),
            breaks: $extra->has('breaks') ? self::breaks($extra->object('breaks')) : null,
            batches: $extra->has('batches') ? self::batches($extra->object('batches')) : null,
            freeze: $extra->has('freeze') ? $extra->integer('freeze', 0, 10080) : 0,
            habits: array_map(self::habit(...), $extra->objectsOrNone('habits')),
            tempo: self::tempo($extra),
            leastPiece: $extra->has('leastPiece') ? $extra->integer('leastPiece', 1, 480) : 30,
            begins: self::begins($extra),
            pulls: $second ? self::pulls($problem) : [],
            pieceCost: $extra->has('pieceMinutes') ? 20 * $extra->integer('pieceMinutes', 0, 10_000) : 0,
        );
    }

    /**
     * Meetings with what is kept free around them: the buffer, or the way to a meeting with a place if that is longer.
     */
    private static function busy(Fields $problem, Fields $extra): IntervalSet
    {
        $buffer = $problem->object('buffer');
        $before = $buffer->integer('before', 0, 10080);
        $after = $buffer->integer('after', 0, 10080);
        $way = $extra->has('travel') ? $extra->integer('travel', 0, 1440) : 0;

        return IntervalSet::covering(...array_map(
            static function (Fields $meeting) use ($before, $after, $way, $extra): Interval {
                $own = match (true) {
                    $extra->names() === [] => 0,
                    $meeting->has('travel') => $meeting->integer('travel', 0, 1440),
                    default => $meeting->has('place') ? $way : 0,
                };

                return self::time($meeting)->widened(max($before, $own), max($after, $own));
            },
            $problem->objects('busy'),
        ));
    }

    private static function limit(Fields $limits, string $key, Fields $extra): DayLimit
    {
        $days = $extra->objectOrEmpty('limits')->objectOrEmpty('days');
        $byDay = [];
        foreach ($days->names() as $date) {
            $day = $days->object($date);
            if ($day->has($key)) {
                $byDay[self::day($days->path, $date)] = $day->integer($key, 0, PHP_INT_MAX);
            }
        }

        return new DayLimit($limits->integerOrNull($key, 0, PHP_INT_MAX), $byDay);
    }

    /** @return array<string, DayLimit> by set of hours */
    private static function loadLines(Fields $extra): array
    {
        $sets = $extra->objectOrEmpty('limits')->objectOrEmpty('hours');
        $lines = [];
        foreach ($sets->names() as $name) {
            $set = $sets->object($name);
            $days = $set->objectOrEmpty('days');
            $byDay = [];
            foreach ($days->names() as $date) {
                $byDay[self::day($days->path, $date)] = $days->integer($date, 0, PHP_INT_MAX);
            }
            $lines[$name] = new DayLimit($set->has('minutes') ? $set->integer('minutes', 0, PHP_INT_MAX) : null, $byDay);
        }

        return $lines;
    }

    private static function breaks(Fields $rule): Breaks
    {
        return new Breaks($rule->integer('after', 1, 1440), $rule->integer('minutes', 1, 1440));
    }

    private static function batches(Fields $rule): Batches
    {
        return new Batches($rule->integer('minutes', 1, 1440), $rule->integer('small', 1, 1440));
    }

    private static function habit(Fields $habit): Habit
    {
        return new Habit(
            $habit->string('id'),
            $habit->integer('minutes', 1, 1440),
            $habit->integer('times', 1, 7),
            $habit->string('hours'),
            $habit->stringOrNull('part'),
            $habit->has('done') ? array_map(static fn (LocalDay $day): int => $day->number, $habit->dates('done')) : [],
        );
    }

    private static function tempo(Fields $extra): Tempo
    {
        return $extra->has('tempo')
            ? Tempo::tryFrom($extra->string('tempo')) ?? throw InvalidProblem::at('problem.tempo', 'must be "calm", "even" or "eager"')
            : Tempo::Calm;
    }

    /** @return array<int> by task id */
    private static function pulls(Fields $problem): array
    {
        $pulls = [];
        foreach ($problem->objects('tasks') as $task) {
            if ($task->has('pull')) {
                $pulls[$task->string('id')] = $task->integer('pull', 0, 100);
            }
        }

        return $pulls;
    }

    private static function begins(Fields $extra): ?DayBegins
    {
        return $extra->has('dayBegins')
            ? DayBegins::tryFrom($extra->string('dayBegins')) ?? throw InvalidProblem::at('problem.dayBegins', 'must be "pull", "hard" or "light"')
            : null;
    }

    private static function block(Fields $block, bool $anchored): Block
    {
        return new Block($block->string('task'), self::time($block), $anchored);
    }

    private static function time(Fields $span): Interval
    {
        return self::guard($span->path, static fn (): Interval => new Interval($span->moment('start'), $span->moment('end')));
    }

    private static function day(string $path, string $date): int
    {
        return self::guard($path, static fn (): int => LocalDay::fromString($date)->number);
    }

    /**
     * Gives an error of the core its path.
     *
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
