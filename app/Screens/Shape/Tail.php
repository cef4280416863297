<?php

declare(strict_types=1);

namespace App\Screens\Shape;

/** How far a block can slip, drawn beside the lane; lengths in pixels, from the lane's right edge and the sheet's head. */
final readonly class Tail
{
    /**
     * @param  string  $kind  "today", "later", or "none" where it cannot slip at all
     * @param  string  $path  an SVG path, as $lead: the thin line to its label
     * @param  bool  $near  it is the nearest to the lane
     * @param  string  $spoken  words that are read out before the label
     */
    public function __construct(
        public string $kind,
        public string $path,
        public ?string $lead,
        public bool $near,
        public string $label,
        public string $spoken,
        public int $left,
        public float $top,
    ) {}
}
