<?php

declare(strict_types=1);

namespace App\Screens\Ledger;

/** Lines that belong together, with their sum. */
final readonly class LedgerGroup
{
    /** @param  list<LedgerRow>  $rows */
    public function __construct(public string $hue, public LedgerRow $sum, public array $rows) {}
}
