<?php

declare(strict_types=1);

namespace App\Screens\Frame;

/** A meeting or a block on the ribbon, in thousandths of its width. */
final readonly class RibbonPiece
{
    /**
     * @param  string  $kind  "meeting" or "block"
     * @param  int|null  $hatching  of a meeting's calendar
     * @param  string  $fits  where the label goes: "in", "beside" or ""
     * @param  float  $after  percent of it that the stem of now covers
     */
    public function __construct(
        public string $kind,
        public int $id,
        public string $name,
        public string $label,
        public ?string $hue,
        public ?int $hatching,
        public string $state,
        public bool $outside,
        public bool $anchored,
        public bool $deep,
        public int $start,
        public float $left,
        public float $width,
        public string $fits,
        public float $after,
    ) {}
}
