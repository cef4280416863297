<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Repair;

use Nekto\Core\Planning\Layout\Timetable;

/** One way to mend a plan. */
final readonly class Repaired
{
    /**
     * @param  array<int, true>  $loose  tasks that gave up their places
     * @param  list<int>  $order  in which what is not kept is laid
     * @param  Timetable  $base  with what is kept
     * @param  array<int, int>  $ends  when each that was laid is finished; −1 never
     * @param  int  $value  what all costs, and what has moved
     */
    public function __construct(public array $loose, public array $order, public Timetable $base, public array $ends, public int $value) {}
}
