<?php

declare(strict_types=1);

namespace App\Screens\Shape;

/** A meeting as it lies on the run sheet; lengths in pixels. */
final readonly class SheetMeeting
{
    /** @param  string|null  $link  to join it, until it is over */
    public function __construct(
        public int $id,
        public string $title,
        public ?string $place,
        public ?string $link,
        public int $hatching,
        public int $minutes,
        public string $range,
        public float $top,
        public float $height,
        public string $size,
        public bool $busy,
        public bool $crosses = false,
    ) {}
}
