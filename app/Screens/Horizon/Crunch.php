<?php

declare(strict_types=1);

namespace App\Screens\Horizon;

/** Where work due rises over open time: what, when, how much is missing, and when it would be done as it stands. */
final readonly class Crunch
{
    /**
     * @param  list<array{id: int, title: string, minutes: int}>  $competing  the longest first
     * @param  int  $more  of them
     * @param  int  $earlier  minutes that are due before
     * @param  string|null  $done  when the plan finishes it; null where it has no place for all of it
     * @param  array{float, float}  $at  where its point lies, in thousandths from the left and the top
     */
    public function __construct(public DueRow $row, public int $missing, public array $competing, public int $more, public int $earlier, public ?string $done, public array $at) {}
}
