<?php

declare(strict_types=1);

namespace App\Screens\Shape;

/** Time kept free by hand, or a batch, as it lies on the run sheet; lengths in pixels. */
final readonly class SheetReserve
{
    /**
     * @param  int  $count  of the blocks in it
     */
    public function __construct(
        public int $id,
        public string $title,
        public int $count,
        public int $minutes,
        public int $start,
        public string $range,
        public bool $movable,
        public bool $chosen,
        public float $top,
        public float $height,
        public float $filled,
    ) {}
}
