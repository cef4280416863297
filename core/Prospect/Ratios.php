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

    /**
     * What the rest of a task may take, as shares of what is planned for it: of past work only what ran longer than this one
     * has run says something about it.
     *
     * @param  non-empty-list<float>  $ratios  actual ÷ estimate of such work
     * @param  int  $estimate  minutes, at least 1
     * @param  int  $worked  minutes so far
     * @param  int  $planned  minutes that are still laid out for it, at least 1
     */
    public static function ofRest(array $ratios, int $estimate, int $worked, int $planned): self
    {
        $rest = [];
        foreach ($ratios as $ratio) {
            $left = $ratio * $estimate - $worked;
            $left > 0 && $rest[] = $left / $planned;
        }

        return $rest === [] ? self::exact() : new self($rest);
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
