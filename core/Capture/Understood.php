<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

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
     */
    public function __construct(
        public Kind $kind,
        public int $start,
        public int $length,
        public int|string|When|Recurrence|Importance|Demand|null $value,
        public ?Problem $problem = null,
        public ?string $instead = null,
    ) {}
}
