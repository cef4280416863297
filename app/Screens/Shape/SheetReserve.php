<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Rows\RoutineTime;

/** Time kept free by hand, or a batch, as it lies on the run sheet; lengths in pixels. */
final readonly class SheetReserve
{
    /**
     * @param  string  $key  of the element
     * @param  string  $address  to move it
     * @param  int|null  $id  of the reserve; null: it is a routine's
     * @param  int  $count  of the blocks in it
     * @param  bool  $under  a meeting lies on it
     */
    public function __construct(
        public string $key,
        public string $address,
        public ?int $id,
        public string $title,
        public int $count,
        public int $minutes,
        public int $start,
        public string $range,
        public bool $movable,
        public bool $chosen,
        public bool $under,
        public float $top,
        public float $height,
        public float $filled,
        public ?RoutineTime $routine = null,
    ) {}
}
