<?php

declare(strict_types=1);

namespace App\Screens\Ledger;

/** A line of the ledger; everything in minutes. */
final readonly class LedgerRow
{
    /**
     * @param  string  $key  which entries it is of, as "3" or "3/12"; "meetings/4": meetings of a calendar
     * @param  int|null  $planned  as promised; null where nothing is
     * @param  int  $before  actual of the period before
     */
    public function __construct(public string $name, public string $key, public ?int $planned, public int $actual, public int $before, public bool $isMeeting = false) {}

    public function differs(): ?int
    {
        return $this->planned === null ? null : $this->actual - $this->planned;
    }

    public function against(): int
    {
        return $this->actual - $this->before;
    }

    /** What the scale must reach. */
    public function reach(): int
    {
        return max($this->planned ?? 0, $this->actual, $this->before);
    }
}
