<?php

declare(strict_types=1);

namespace App\Screens\Horizon;

/** Both curves as they are drawn: places in thousandths, from the left and from the top. */
final readonly class Curves
{
    /** What is higher needs no enlarging. */
    private const SEEN = 80.0;

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

    /**
     * The part around the first place where demand lies above supply, to be shown enlarged where that is low: left, top,
     * width and height. Null where there is none, or where it is seen well.
     *
     * @return array{float, float, float, float}|null
     */
    public function small(): ?array
    {
        $first = $this->over[0] ?? [];
        if ($first === [] || max(array_column($first, 1)) - min(array_column($first, 1)) > self::SEEN) {
            return null;
        }
        [$left, $right] = [min(array_column($first, 0)), max(array_column($first, 0))];
        [$top, $bottom] = [min(array_column($first, 1)), max(array_column($first, 1))];
        [$wide, $high] = [max(12.0, $right - $left), max(12.0, $bottom - $top)];

        return [round($left - 0.5 * $wide, 1), round($top - 0.5 * $high, 1), round(2 * $wide, 1), round(2 * $high, 1)];
    }

    /** @param  list<array{float, float}>  $points */
    public static function path(array $points): string
    {
        return implode(' ', array_map(static fn (array $point): string => "{$point[0]},{$point[1]}", $points));
    }
}
