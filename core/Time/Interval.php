<?php

declare(strict_types=1);

namespace Nekto\Core\Time;

/**
 * A half-open stretch of time: its start belongs to it, its end does not. Both are whole minutes since
 * 1970-01-01T00:00Z, so that days of 23 or 25 hours are no special case: only Zone knows time zones.
 */
final readonly class Interval
{
    /** @throws InvalidTime if $end is not after $start */
    public function __construct(public int $start, public int $end)
    {
        $end > $start || throw InvalidTime::endNotAfterStart($start, $end);
    }

    /** Minutes, at least 1. */
    public function length(): int
    {
        return $this->end - $this->start;
    }

    public function contains(int $minute): bool
    {
        return $this->start <= $minute && $minute < $this->end;
    }

    /** False where the two only touch. */
    public function overlaps(self $other): bool
    {
        return $this->start < $other->end && $other->start < $this->end;
    }

    public function engulfs(self $other): bool
    {
        return $this->start <= $other->start && $other->end <= $this->end;
    }

    public function equals(self $other): bool
    {
        return $this->start === $other->start && $this->end === $other->end;
    }

    /** The part both cover, or null if they cover none together. */
    public function intersection(self $other): ?self
    {
        $start = max($this->start, $other->start);
        $end = min($this->end, $other->end);

        return $end > $start ? new self($start, $end) : null;
    }

    /** The same stretch with $before minutes more at its start and $after more at its end (both at least 0). */
    public function widened(int $before, int $after): self
    {
        return $before === 0 && $after === 0 ? $this : new self($this->start - $before, $this->end + $after);
    }
}
