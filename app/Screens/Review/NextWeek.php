<?php

declare(strict_types=1);

namespace App\Screens\Review;

/** Work due by the end of the next week against what can be planned until then; everything in minutes. */
final readonly class NextWeek
{
    /**
     * @param  list<array{title: string, minutes: int, hue: string, deep: bool}>  $pieces  by due date, the first due first
     * @param  int  $rest  of pieces that are too many to be drawn
     * @param  int  $demand  all that is due
     * @param  int  $supply  under the load lines until then
     * @param  int  $open  open time until then
     * @param  array{what: string, when: string, missing: int}|null  $crunch  the first date by then that does not hold
     */
    public function __construct(public string $span, public string $until, public array $pieces, public int $rest, public int $demand, public int $supply, public int $open, public ?array $crunch) {}

    public function over(): int
    {
        return max(0, $this->demand - $this->supply);
    }

    public function top(): int
    {
        return max(60, $this->demand, $this->open);
    }
}
