<?php

declare(strict_types=1);

namespace Nekto\Core\Time;

/**
 * What a wall clock is ahead of UTC, and since when: of a zone of the database, of one that a calendar describes, or fixed.
 * A time that the clock skips and one that it shows twice are both read with the offset before the change (3.3.5).
 */
final class Offsets
{
    /** Years for which a zone's changes are known. */
    private const FIRST = -86_400 * 366;

    private const LAST = 86_400 * 366 * 200;

    /** @var array<string, self> */
    private static array $zones = [];

    private int $near = 0;

    /**
     * @param  list<int>  $from  seconds since 1970 in UTC, ascending; the first is taken to reach back for ever
     * @param  list<int>  $offset  seconds, from there on
     */
    public function __construct(private readonly array $from, private readonly array $offset) {}

    public static function fixed(int $seconds): self
    {
        return new self([0], [$seconds]);
    }

    public static function of(\DateTimeZone $zone): self
    {
        return self::$zones[$zone->getName()] ??= self::read($zone);
    }

    /**
     * The moment at which the clock shows that.
     *
     * @param  int  $local  seconds since 1970-01-01T00:00 by the wall clock
     */
    public function utc(int $local): int
    {
        $i = $this->index($local + 93_600);
        while ($i > 0 && $local < $this->from[$i] + max($this->offset[$i - 1], $this->offset[$i])) {
            $i--;
        }

        return $local - $this->offset[$i];
    }

    /** What the clock shows at a moment (UTC), in seconds since 1970-01-01T00:00 by the wall clock. */
    public function local(int $utc): int
    {
        return $utc + $this->offset($utc);
    }

    /** Local time − UTC at a moment (UTC), in seconds. O(log n), O(1) near the moment asked for last. */
    public function offset(int $utc): int
    {
        return $this->offset[$this->index($utc)];
    }

    /** @return list<int> moments (UTC) from which an offset holds, ascending */
    public function changes(): array
    {
        return $this->from;
    }

    private static function read(\DateTimeZone $zone): self
    {
        $changes = $zone->getTransitions(self::FIRST, self::LAST) ?: [];

        return $changes === []
            ? self::fixed($zone->getOffset(new \DateTimeImmutable('@0')))
            : new self(array_column($changes, 'ts'), array_column($changes, 'offset'));
    }

    private function index(int $moment): int
    {
        $i = $this->near;
        if ($this->from[$i] <= $moment && ($this->from[$i + 1] ?? PHP_INT_MAX) > $moment) {
            return $i;
        }
        $low = 0;
        $high = count($this->from) - 1;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            $this->from[$middle] <= $moment ? $low = $middle : $high = $middle - 1;
        }

        return $this->near = $low;
    }
}
