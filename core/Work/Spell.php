<?php

declare(strict_types=1);

namespace Nekto\Core\Work;

use Nekto\Core\Time\Interval;

/** Time that was worked, or rested on purpose. */
final readonly class Spell
{
    public function __construct(public Interval $time, public bool $isBreak) {}
}
