<?php

declare(strict_types=1);

namespace App\Screens\Project;

use App\Models\Task;

/** The work of a project against the open time until its last date; everything in minutes. */
final readonly class Vessel
{
    /**
     * @param  int  $due  minute since 1970-01-01T00:00Z
     * @param  int  $open  until then, in the hours of its work
     * @param  int  $other  work of others that is due by then too
     * @param  list<array{task: Task, minutes: int}>  $own
     */
    public function __construct(public int $due, public int $open, public int $other, public array $own) {}

    public function demand(): int
    {
        return $this->other + array_sum(array_column($this->own, 'minutes'));
    }

    /** Positive: so much is missing. */
    public function short(): int
    {
        return max(0, $this->demand() - $this->open);
    }

    /** Of its width, in thousandths: what is larger of open time and work fills it. */
    public function part(int $minutes): float
    {
        return round(1000 * $minutes / max(1, $this->open, $this->demand()), 1);
    }
}
