<?php

declare(strict_types=1);

namespace App\Screens\Weigh;

/** A line of equal pull. */
final readonly class PullLine
{
    /**
     * @param  string  $line  an SVG path, as $area: what has more pull
     * @param  array{float, float}|null  $at  where its number stands, in percent of width and height
     */
    public function __construct(
        public int $level,
        public string $line,
        public string $area,
        public ?array $at,
    ) {}
}
