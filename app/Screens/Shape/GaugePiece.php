<?php

declare(strict_types=1);

namespace App\Screens\Shape;

/** A block or a pick in the gauge; lengths in pixels, from the foot. */
final readonly class GaugePiece
{
    /**
     * @param  int|null  $id  of the block; null for a pick without a time
     * @param  bool  $over  it reaches over the load line
     * @param  float  $from  where it begins where the gauge lies, in percent, as $share
     */
    public function __construct(
        public ?int $id,
        public int $task,
        public string $label,
        public int $minutes,
        public float $bottom,
        public float $height,
        public string $hue,
        public bool $deep,
        public string $state,
        public float $spent,
        public bool $over,
        public float $from,
        public float $share,
    ) {}
}
