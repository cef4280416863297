<?php

declare(strict_types=1);

namespace Nekto\Core\Ledger;

use Nekto\Core\Time\LocalDay;

/** A stretch of whole local days that is looked back upon, and the one before it that it is set against. */
final readonly class Period
{
    /** @throws \InvalidArgumentException if the last day lies before the first */
    public function __construct(public LocalDay $first, public LocalDay $last)
    {
        $last->number >= $first->number || throw new \InvalidArgumentException('A period ends on its first day or later.');
    }

    /** @param  int  $weekStarts  1 Monday to 7 Sunday */
    public static function week(LocalDay $day, int $weekStarts = 1, int $back = 0): self
    {
        $first = $day->backTo($weekStarts)->plusDays(-7 * $back);

        return new self($first, $first->plusDays(6));
    }

    /** Whole weeks that are over. */
    public static function weeksBefore(LocalDay $day, int $weeks, int $weekStarts = 1): self
    {
        $first = self::week($day, $weekStarts)->first;

        return new self($first->plusDays(-7 * $weeks), $first->plusDays(-1));
    }

    public static function month(LocalDay $day): self
    {
        return self::months($day, 1, $day->month());
    }

    public static function quarter(LocalDay $day): self
    {
        return self::months($day, 3, 3 * intdiv($day->month() - 1, 3) + 1);
    }

    public function days(): int
    {
        return $this->last->number - $this->first->number + 1;
    }

    /** The same stretch before it: of a whole month or quarter the one before, of other days as many. */
    public function before(): self
    {
        foreach ([1, 3] as $months) {
            $own = self::months($this->first, $months, $this->first->month());
            if ($this->first->dayOfMonth() === 1 && $own->last->equals($this->last)) {
                return self::months($this->first->plusDays(-1), $months, $this->first->plusDays(-1)->month() - $months + 1);
            }
        }

        return new self($this->first->plusDays(-$this->days()), $this->first->plusDays(-1));
    }

    /** The one after it, likewise. */
    public function after(): self
    {
        $next = $this->last->plusDays(1);
        foreach ([1, 3] as $months) {
            if ($this->first->dayOfMonth() === 1 && self::months($this->first, $months, $this->first->month())->last->equals($this->last)) {
                return self::months($next, $months, $next->month());
            }
        }

        return new self($next, $next->plusDays($this->days() - 1));
    }

    /**
     * Its parts, to be drawn one under the other: days of up to two weeks, weeks of up to half a year, else months.
     *
     * @return list<self>
     */
    public function parts(int $weekStarts = 1): array
    {
        $parts = [];
        for ($day = $this->first; $day->number <= $this->last->number; $day = $parts[count($parts) - 1]->last->plusDays(1)) {
            $end = match (true) {
                $this->days() <= 14 => $day,
                $this->days() <= 190 => self::week($day, $weekStarts)->last,
                default => self::month($day)->last,
            };
            $parts[] = new self($day, $end->number > $this->last->number ? $this->last : $end);
        }

        return $parts;
    }

    /** @param  int  $from  1 for January; 0 and less: of the year before */
    private static function months(LocalDay $day, int $count, int $from): self
    {
        $month = static fn (int $number): LocalDay => LocalDay::of($day->year() + intdiv($number - 1 + 120, 12) - 10, ($number - 1 + 120) % 12 + 1, 1);

        return new self($month($from), $month($from + $count)->plusDays(-1));
    }
}
