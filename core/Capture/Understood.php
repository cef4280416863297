<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Task\Importance;

/** A stretch of a typed line and what it means, or why it means nothing. */
final readonly class Understood
{
    /**
     * @param  int  $start  in characters
     * @param  int  $length  in characters
     * @param  int|null  $minutes  of Kind::Minutes
     * @param  Due|null  $due  of Kind::Due
     */
    public function __construct(
        public Kind $kind,
        public int $start,
        public int $length,
        public ?int $minutes = null,
        public ?Due $due = null,
        public ?Importance $importance = null,
        public ?Problem $problem = null,
    ) {}
}
