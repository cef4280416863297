<?php

declare(strict_types=1);

namespace Nekto\Core\Prospect;

/** How long work really took, as shares of what was estimated: the distribution that chances are drawn from. */
final readonly class Ratios
{
    /** @var non-empty-list<float> ascending */
    private array $values;

    /**
     * @param  non-empty-list<float>  $values  actual ÷ estimate, each above 0
     *
     * @throws \InvalidArgumentException if one is not
     */
    public function __construct(array $values)
    {
        min($values) > 0 || throw new \InvalidArgumentException('A ratio of actual to estimated time is above 0.');
        sort($values);
        $this->values = $values;
    }

    /** Work that takes just what was estimated. */
    public static function exact(): self
    {
        return new self([1.0]);
    }

    /** The value below which that share of all lies, from 0 to 1; between two of them in proportion. */
    public function at(float $share): float
    {
        $last = count($this->values) - 1;
        $place = max(0.0, min(1.0, $share)) * $last;
        $low = (int) $place;

        return $this->values[$low] + ($place - $low) * ($this->values[min($last, $low + 1)] - $this->values[$low]);
    }
}
