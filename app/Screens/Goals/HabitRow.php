<?php

declare(strict_types=1);

namespace App\Screens\Goals;

use App\Models\Habit;
use Nekto\Core\Goals\Kept;

/** A habit with the times of its week. */
final readonly class HabitRow
{
    /**
     * @param  list<StepRow>  $times  of this week, those done first
     * @param  list<array{int, int}>  $before  done, of how many, of the weeks before, the oldest first
     * @param  string  $rule  how it is to be done, in words
     */
    public function __construct(public Habit $habit, public array $times, public array $before, public string $rule) {}

    public function done(): int
    {
        return count(array_filter($this->times, static fn (StepRow $one): bool => $one->kept === Kept::Kept));
    }
}
