<?php

declare(strict_types=1);

namespace App\Screens\Ledger;

/** A kind of work: what it took to what was estimated. */
final readonly class EstimateKind
{
    /** The scale is logarithmic, from here to there. */
    private const FROM = 0.6;

    private const TO = 2.0;

    /**
     * @param  float  $low  20th percentile
     * @param  float  $high  80th percentile
     * @param  float|null  $likely  what the plan corrects by; null: too few pairs, not used
     * @param  float|null  $earlier  median of the older half; null: too few to tell
     */
    public function __construct(public string $name, public float $low, public float $median, public float $high, public ?float $likely, public int $pairs, public ?float $earlier) {}

    /** A place on the scale, in thousandths. */
    public static function place(float $ratio): float
    {
        return round(1000 * log(max(self::FROM, min(self::TO, $ratio)) / self::FROM) / log(self::TO / self::FROM), 1);
    }
}
