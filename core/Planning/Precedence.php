<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

use Nekto\Core\Task\Task;

/** Order among tasks that come after others. */
final class Precedence
{
    /**
     * The same tasks, each after its predecessors and otherwise in the given order. There must be no cycle.
     *
     * @param  list<Task>  $tasks
     * @return list<Task>
     */
    public static function sorted(array $tasks): array
    {
        $byId = [];
        foreach ($tasks as $task) {
            $byId[$task->id] = $task;
        }
        $sorted = [];
        foreach ($tasks as $task) {
            $stack = [$task];
            while ($stack !== []) {
                $top = end($stack);
                if (isset($sorted[$top->id])) {
                    array_pop($stack);

                    continue;
                }
                $missing = array_filter($top->after, static fn (string $id): bool => ! isset($sorted[$id]) && isset($byId[$id]));
                if ($missing === []) {
                    $sorted[$top->id] = $top;
                    array_pop($stack);
                }
                foreach ($missing as $id) {
                    $stack[] = $byId[$id];
                }
            }
        }

        return array_values($sorted);
    }
}
