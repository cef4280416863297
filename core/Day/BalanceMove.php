<?php

declare(strict_types=1);

namespace Nekto\Core\Day;

use Nekto\Core\Plan\Block;
use Nekto\Core\Time\Interval;

/** A block that goes to another day, whole. */
final readonly class BalanceMove
{
    public function __construct(public Block $block, public Interval $to) {}
}
