<?php

declare(strict_types=1);

namespace App\Screens\Horizon;

/** Both curves as they are drawn: places in thousandths, from the left and from the top. */
final readonly class Curves
{
    /**
     * @param  list<array{float, float}>  $supply
     * @param  list<array{float, float}>  $demand  corners of the steps
     * @param  list<list<array{float, float}>>  $over  where demand lies above supply
     * @param  list<array{left: float, top: float, label: string, due: int, coral: bool, tasks: list<int>}>  $nodes  one at each due date
     * @param  list<array{float, string}>  $heights  top of each line across, and its hours
     * @param  list<array{left: float, width: float, label: string, narrow: bool, today: bool, day: string, title: string}>  $days
     * @param  float  $now  from the left
     */
    public function __construct(public array $supply, public array $demand, public array $over, public array $nodes, public array $heights, public array $days, public float $now, public string $nowLabel, public int $top) {}

    /** @param  list<array{float, float}>  $points */
    public static function path(array $points): string
    {
        return implode(' ', array_map(static fn (array $point): string => "{$point[0]},{$point[1]}", $points));
    }
}
