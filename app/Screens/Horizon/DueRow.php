<?php

declare(strict_types=1);

namespace App\Screens\Horizon;

/** A due date with the work that must be done by then in its hours, and what can be planned until then. */
final readonly class DueRow
{
    /**
     * @param  int  $due  minutes since 1970-01-01T00:00Z
     * @param  string  $day  the local day, Y-m-d
     * @param  string  $when  as it is said
     * @param  string  $name  of what is due then
     * @param  list<array{id: int, title: string, minutes: int}>  $tasks  the longest first
     * @param  int  $room  negative in a crunch
     * @param  int|null  $chance  % of the least likely; null where it is not known
     * @param  bool  $isOver  it has passed already
     * @param  int|null  $project  whose milestone it is; null: a date of tasks
     * @param  int  $all  minutes of all work due by then
     * @param  int  $plainRoom  the same of all work against all open time, without the deep limit
     */
    public function __construct(
        public int $due,
        public int $set,
        public string $day,
        public string $when,
        public string $name,
        public array $tasks,
        public int $demand,
        public int $supply,
        public int $room,
        public int $pressure,
        public ?int $chance,
        public bool $isOver,
        public int $all,
        public int $plainRoom,
        public ?int $project = null,
    ) {}

    /** True where deep work under its limit has less room than all work has. */
    public function isDeep(): bool
    {
        return $this->room < $this->plainRoom;
    }
}
