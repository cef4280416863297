<?php

declare(strict_types=1);

namespace App\Ledger;

/** What the ledger sums by. */
enum By: string
{
    case Area = 'area';
    case Context = 'context';
    case Demand = 'demand';

    /** The group of a row of `tasks`, as an expression: of several contexts the first in the person's order, so that each minute counts once. */
    public function column(): string
    {
        return match ($this) {
            self::Area => 'tasks.area_id',
            self::Demand => 'tasks.demand',
            self::Context => '(select contexts.id from context_task join contexts on contexts.id = context_task.context_id where context_task.task_id = tasks.id order by contexts.position, contexts.name limit 1)',
        };
    }

    /** What its groups are made of. */
    public function part(): string
    {
        return $this === self::Area ? 'tasks.project_id' : 'null';
    }
}
