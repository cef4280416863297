<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Propose\Proposal;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Importance;

/** A stretch of a typed line and what it means, or why it means nothing. */
final readonly class Understood
{
    /**
     * @param  int  $start  in characters
     * @param  int  $length  in characters
     * @param  int|string|When|Recurrence|Importance|Demand|null  $value  minutes; a name, part of the day or address; null with a problem
     * @param  string|null  $instead  words to write here for the other meaning that these may have
     * @param  Proposal|null  $learned  where no word says it: what similar lines got before
     */
    public function __construct(
        public Kind $kind,
        public int $start,
        public int $length,
        public int|string|When|Recurrence|Importance|Demand|null $value,
        public ?Problem $problem = null,
        public ?string $instead = null,
        public ?Proposal $learned = null,
    ) {}

    /** "project Catalogue", "minutes 45": the same words mean that a person has seen just that. */
    public function shown(): string
    {
        return "{$this->kind->value} ".match (true) {
            $this->value instanceof Demand => $this->value->value,
            is_int($this->value), is_string($this->value) => $this->value,
            default => '',
        };
    }
}
