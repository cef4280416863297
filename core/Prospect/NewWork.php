<?php

declare(strict_types=1);

namespace Nekto\Core\Prospect;

/**
 * A piece of work that nobody has said yes to yet, tried against time that nothing else needs: by which day it would be
 * done, likely or surely, if nothing else moves for it.
 */
final readonly class NewWork
{
    /** Halvings after which a chance is known to less than a thousandth. */
    private const HALVINGS = 20;

    /** @var array<int, int> minutes that are free until the end of each day, by its number */
    private array $until;

    /**
     * @param  int  $minutes  estimated, at least 1
     * @param  array<int, int>  $free  minutes of each day that it could have, by the day's number, ascending
     * @param  Ratios  $ratios  of what such work took to what was estimated
     * @param  int  $before  minutes of other work that has no place yet and comes first
     */
    public function __construct(public int $minutes, private array $free, private Ratios $ratios, private int $before = 0)
    {
        $until = [];
        $sum = -$before;
        foreach ($free as $day => $minutes) {
            $until[$day] = max(0, $sum += $minutes);
        }
        $this->until = $until;
    }

    /** Minutes that fit by the end of a day. */
    public function fits(int $day): int
    {
        $fits = 0;
        foreach ($this->until as $number => $minutes) {
            if ($number > $day) {
                break;
            }
            $fits = $minutes;
        }

        return $fits;
    }

    /** Minutes that such a share of such work does not take more than. */
    public function careful(float $share): int
    {
        return (int) ceil($this->minutes * $this->ratios->at($share));
    }

    /** The first day by which it is done with that chance; null if that is further away than is known. */
    public function doneBy(float $chance): ?int
    {
        $minutes = $this->careful($chance);
        foreach ($this->until as $day => $fits) {
            if ($fits >= $minutes) {
                return $day;
            }
        }

        return null;
    }

    /** The chance that it is done by the end of a day, from 0 to 1. */
    public function chance(int $day): float
    {
        $fits = $this->fits($day);
        if ($fits >= $this->careful(1.0)) {
            return 1.0;
        }
        if ($fits < $this->careful(0.0)) {
            return 0.0;
        }
        [$low, $high] = [0.0, 1.0];
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($low + $high) / 2;
            $this->careful($middle) <= $fits ? $low = $middle : $high = $middle;
        }

        return $low;
    }

    /** @return array<int, int> the estimated minutes as they would be done, by day */
    public function laid(): array
    {
        $laid = [];
        $skip = $this->before;
        $left = $this->minutes;
        foreach ($this->free as $day => $minutes) {
            $skipped = min($skip, $minutes);
            $skip -= $skipped;
            $take = min($left, $minutes - $skipped);
            $left -= $take;
            $take > 0 && $laid[$day] = $take;
        }

        return $laid;
    }

    /**
     * The same with more time on some days.
     *
     * @param  array<int, int>  $more  minutes by day
     */
    public function withMore(array $more): self
    {
        $free = $this->free;
        foreach ($more as $day => $minutes) {
            isset($free[$day]) && $free[$day] += $minutes;
        }

        return new self($this->minutes, $free, $this->ratios, $this->before);
    }

    /** The same with fewer minutes of it. */
    public function cutTo(int $minutes): self
    {
        return new self(max(1, $minutes), $this->free, $this->ratios, $this->before);
    }
}
