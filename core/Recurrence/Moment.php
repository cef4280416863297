<?php

declare(strict_types=1);

namespace Nekto\Core\Recurrence;

use Nekto\Core\Time\Offsets;

/** A DATE or DATE-TIME of a calendar: what the wall clock shows, and by which clock. */
final readonly class Moment
{
    /**
     * @param  int  $local  seconds since 1970-01-01T00:00 by the wall clock; of a day its midnight
     * @param  Offsets  $clock  UTC's, the zone's, or of a floating time or a day the reader's own
     */
    public function __construct(public int $local, public bool $isDay, public Offsets $clock) {}

    public function utc(): int
    {
        return $this->clock->utc($this->local);
    }

    /** The same wall clock another number of seconds on. */
    public function at(int $local): self
    {
        return new self($local, $this->isDay, $this->clock);
    }
}
