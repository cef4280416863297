<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

/** One fact about a block's place. */
final readonly class Reason
{
    /** @param  array<string, int|string>  $facts  what the code says it has */
    public function __construct(public ReasonCode $code, public array $facts = []) {}
}
