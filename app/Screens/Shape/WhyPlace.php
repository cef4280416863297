<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Models\Block;

/** Where "why here" stands beside the run sheet, and the line from the chosen block to its piece of the gauge; in pixels. */
final readonly class WhyPlace
{
    private const HEAD = 34;

    /** It is about so high, and notes keep so far from it. */
    private const HEIGHT = 300;

    private const NOTE_ABOVE = 80;

    private const NOTE_BELOW = 220;

    /** The line begins so far below the block's upper edge. */
    private const JOIN = 12;

    /** The gauge's foot stands so far below its lowest minute. */
    private const GAUGE_FOOT = 8;

    /** @param  float|null  $joinTo  null: the gauge has no piece of it */
    private function __construct(public float $top, public float $joinFrom, public ?float $joinTo) {}

    /** Null without a block on that sheet. */
    public static function of(RunSheet $sheet, Gauge $gauge, ?Block $chosen): ?self
    {
        $block = $chosen === null ? null : $sheet->block($chosen->id);
        if ($block === null) {
            return null;
        }

        return new self(
            max(self::HEAD, min($block->top + 16, $sheet->height - self::HEIGHT)),
            $block->top + self::JOIN,
            $gauge->chosenAt === null ? null : round($gauge->height() + self::GAUGE_FOOT - $gauge->chosenAt, 1),
        );
    }

    public function joinsUpward(): bool
    {
        return $this->joinTo < $this->joinFrom;
    }

    /** True where a note would stand in its way. */
    public function covers(float $top): bool
    {
        return $top > $this->top - self::NOTE_ABOVE && $top < $this->top + self::NOTE_BELOW;
    }
}
