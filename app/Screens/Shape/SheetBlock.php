<?php

declare(strict_types=1);

namespace App\Screens\Shape;

/** A block as it lies on the run sheet; lengths in pixels. */
final readonly class SheetBlock
{
    /**
     * @param  int  $start  UTC minute, as $end
     */
    public function __construct(
        public int $id,
        public int $task,
        public string $title,
        public bool $outside,
        public string $hue,
        public string $area,
        public int $importance,
        public bool $deep,
        public bool $key,
        public bool $anchored,
        public int $carried,
        public string $state,
        public bool $begun,
        public bool $batched,
        public bool $movable,
        public int $minutes,
        public int $start,
        public int $end,
        public string $range,
        public string $extra,
        public ?int $pressure,
        public float $top,
        public float $height,
        public string $size,
        public bool $chosen,
        public string $mark,
    ) {}
}
