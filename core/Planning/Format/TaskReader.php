<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Format;

use Nekto\Core\Plan\InvalidProblem;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\DueDate;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\IntervalSet;

/** Reads tasks. In the second format most keys may be missing, and steps of a sequential project come after one another. */
final readonly class TaskReader
{
    /** @param  array<string, IntervalSet>  $hours */
    public function __construct(private Span $span, private array $hours, private bool $second) {}

    /** @return list<Task> */
    public function tasks(Fields $problem): array
    {
        $sequential = $this->second ? self::sequential($problem->objectOrEmpty('projects')) : [];
        $tasks = $last = [];
        foreach ($problem->objects('tasks') as $fields) {
            $task = $this->second ? $this->ofSecond($fields) : $this->ofFirst($fields);
            if ($task->project !== null && isset($sequential[$task->project])) {
                $before = $last[$task->project] ?? null;
                $last[$task->project] = $task->id;
                $task = $before === null ? $task : $task->with(after: [...$task->after, $before]);
            }
            $tasks[] = $task;
        }

        return $tasks;
    }

    private function ofFirst(Fields $task): Task
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
            demand: self::demand($task),
        );
    }

    private function ofSecond(Fields $task): Task
    {
        $hours = $task->string('hours');
        $due = $task->has('due') ? $this->due($task, $hours) : null;
        $minChunk = $task->has('minChunk') ? $task->integer('minChunk', 1, PHP_INT_MAX) : 15;

        return new Task(
            id: $task->string('id'),
            minutes: $task->integer('minutes', 1, 1_000_000),
            importance: $task->has('importance') ? Importance::from($task->integer('importance', 1, 4)) : Importance::Medium,
            hours: $hours,
            due: $due === null ? null : new DueDate($due, $task->has('hard') && $task->boolean('hard')),
            notBefore: $task->has('notBefore') ? $this->start($task) : null,
            minChunk: $minChunk,
            maxChunk: $task->has('maxChunk') ? $task->integer('maxChunk', 1, PHP_INT_MAX) : max(120, $minChunk),
            after: $task->has('after') ? $task->strings('after') : [],
            demand: $task->has('demand') ? self::demand($task) : Demand::Light,
            part: $task->stringOrNull('part'),
            context: $task->stringOrNull('context'),
            project: $task->stringOrNull('project'),
            pick: $task->has('pick') ? $task->date('pick')->number : null,
            pickMinutes: $task->has('pickMinutes') ? $task->integer('pickMinutes', 1, PHP_INT_MAX) : null,
            key: $task->has('key') && $task->boolean('key'),
            waiting: $task->has('waiting') && $task->boolean('waiting'),
        );
    }

    /** A due time as it is; a due date is the end of the task's hours on that day, or of the day where they are closed. */
    private function due(Fields $task, string $hours): int
    {
        if (! self::isDate($task->string('due'))) {
            return $task->moment('due');
        }
        $day = $this->span->zone->day($task->date('due'));
        $open = ($this->hours[$hours] ?? IntervalSet::empty())->between($day->start, $day->end)->intervals;

        return $open === [] ? $day->end : end($open)->end;
    }

    private function start(Fields $task): int
    {
        return self::isDate($task->string('notBefore')) ? $this->span->zone->at($task->date('notBefore'), 0) : $task->moment('notBefore');
    }

    private static function isDate(string $text): bool
    {
        return preg_match('/^\d{4}-\d{2}-\d{2}$/D', $text) === 1;
    }

    private static function demand(Fields $task): Demand
    {
        return Demand::tryFrom($task->string('demand')) ?? throw InvalidProblem::at("{$task->path}.demand", 'must be "light" or "deep"');
    }

    /** @return array<string, true> */
    private static function sequential(Fields $projects): array
    {
        $names = [];
        foreach ($projects->names() as $name) {
            match ($projects->string($name)) {
                'sequential' => $names[$name] = true,
                'parallel' => null,
                default => throw InvalidProblem::at("{$projects->path}.{$name}", 'must be "sequential" or "parallel"'),
            };
        }

        return $names;
    }
}
