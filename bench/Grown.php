<?php

declare(strict_types=1);

namespace Bench;

/** The largest instance, repeated and cut to a number of tasks, over a horizon that grows along. */
final class Grown
{
    private const DAYS = 56;

    private const TASKS = 500;

    /** @return array<string, mixed> a problem, decoded */
    public static function to(int $count): array
    {
        $whole = json_decode((string) file_get_contents(__DIR__.'/instances/large-500.json'), true, 32, JSON_THROW_ON_ERROR);
        $copies = intdiv($count + self::TASKS - 1, self::TASKS);
        $days = $count < self::TASKS ? max(14, intdiv(self::DAYS * $count, self::TASKS)) : self::DAYS * $copies;
        $problem = ['horizonDays' => $days, 'tasks' => [], 'busy' => []] + $whole;
        for ($copy = 0; $copy < $copies; $copy++) {
            $later = static fn (?string $moment): ?string => $moment === null ? null : (new \DateTimeImmutable($moment))->modify('+'.(self::DAYS * $copy).' days')->format(DATE_RFC3339);
            foreach ($whole['busy'] as $meeting) {
                $problem['busy'][] = ['start' => $later($meeting['start']), 'end' => $later($meeting['end'])];
            }
            $known = [];
            foreach (array_slice($whole['tasks'], 0, $count - self::TASKS * $copy) as $task) {
                $known[$task['id']] = true;
                $after = array_values(array_filter($task['after'], static fn (string $id): bool => isset($known[$id])));
                $problem['tasks'][] = [
                    'id' => "{$task['id']}.{$copy}", 'due' => $later($task['due']), 'notBefore' => $later($task['notBefore']),
                    'after' => array_map(static fn (string $id): string => "{$id}.{$copy}", $after),
                ] + $task;
            }
        }

        return $problem;
    }
}
