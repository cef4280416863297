<?php

declare(strict_types=1);

namespace App\Screens\WeekPlan;

/** A candidate of the week, and where it would go. */
final readonly class PlanRow
{
    /**
     * @param  array<int, int>  $parts  minutes by the day's number; none where it waits
     * @param  array<int, int>  $would  minutes that each day would have left under its line with it, by the day's number
     * @param  string  $due  as it is said, or nothing
     * @param  string  $says  what of it stays for later, or why it is there
     */
    public function __construct(public int $task, public string $title, public string $hue, public int $importance, public int $carried, public int $minutes, public array $parts, public array $would, public string $due, public bool $isLate, public bool $isChosen, public string $says) {}

    /** The first day it is on; null where it waits. */
    public function day(): ?int
    {
        return array_key_first($this->parts);
    }
}
