<?php

declare(strict_types=1);

namespace App\Screens\Goals;

use Nekto\Core\Goals\Kept;

/** A step as it stands in its week, or one of the times of a habit that moves the goal. */
final readonly class StepRow
{
    /**
     * @param  int|null  $step  of goal_steps; null: a time of a habit
     * @param  string  $when  when it was done, or has a block; empty without
     * @param  int  $minutes  left, or those of it that is done
     * @param  int|null  $habit  of which it is one of the times
     */
    public function __construct(public ?int $step, public int $task, public string $title, public string $short, public Kept $kept, public bool $hasBlock, public string $when, public int $minutes, public ?int $habit = null) {}

    /** As its peg is drawn. */
    public function peg(): string
    {
        return match (true) {
            $this->kept === Kept::Kept => 'kept',
            $this->kept === Kept::Missed => 'missed',
            $this->hasBlock => 'block',
            default => 'none',
        };
    }
}
